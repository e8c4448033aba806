# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of the heading.
    module Judgement
      # The hardware dictates the width: choose the count first.
      say("count_dictates", "heading") do |seen|
        curtain = seen.curtains.first or next
        near = seen.heading.near_counts(curtain.task, curtain.heading)
        chosen = near.find(&:chosen)
        {count: chosen.count, flat: chosen.flat} if chosen && seen.heading.dictates?
      end

      # A fixed pitch has a hook at both very ends.
      say("ends_need_hook", "heading") { |seen| (pitch = seen.heading.pitch_to_the_ends) && {pitch: pitch} }

      # An even count, so that both edges turn the same way.
      say("even_count", "heading") { |seen| {} if seen.heading.even_counted? }

      # Mass over 80 % of what the support carries, or nobody knows what it carries.
      caution("over_rating", "heading", "hanging") do |seen|
        mass, rating = seen.reckoning&.mass, seen.treatment.support.rating
        {mass: mass} if mass && (rating.nil? || mass > rating * 4 / 5)
      end

      # A percentage in all, or a percentage added: makers mean either.
      ask("percent_meaning", "heading") do |seen|
        fullness = seen.heading.respond_to?(:fullness) ? seen.heading.fullness : nil
        next unless fullness&.percentage?

        percent = (fullness.written_as == :percent_total) ? fullness.ratio * 100 : (fullness.ratio - 1) * 100
        {percent: percent, total: percent / 100, added: 1 + percent / 100}
      end

      # Below the heading's usual range a curtain looks like a sheet when it is closed.
      say("thin_look", "heading") do |seen|
        usual = seen.heading.thin_below
        made = seen.curtains.map(&:fullness).min
        {made: made, usual: usual} if usual && made && made < usual
      end
    end
  end
end
