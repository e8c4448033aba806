# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # At the table and at the machine: what is said of what is done to a cloth, whatever the school.
    module Judgement
      # A hem is measured while it is pressed, both folds.
      say_at_work("hem_fold_check", on: on(:press, at: :hem)) do |_, touch|
        depth, first, second = touch.figures.values_at(:hem_depth, :first_press, :second_press)
        next unless depth

        taken = second || first
        (taken == depth * 2) ? {form: :double, depth: depth, both: taken} : {form: :single, depth: depth}
      end

      # A hem that drags wears.
      say_at_work("hem_wears", on: on(:press, at: :hem, layer: :face)) do |seen, _|
        next unless seen.is_a?(JudgementCase)

        drop = seen.treatment.drop
        next unless drop.offset.positive? && [nil, "floor"].include?(drop.measured_to)

        {form: (seen.treatment.weighting == "chain") ? :chain : nil, drags: drop.offset}.compact
      end

      # Chain wears through a fold.
      say_at_work("chain_clear", on: on(:weigh, at: :foot)) do |seen, _|
        {} if seen.treatment.weighting == "chain"
      end

      # No machine needle near a weight.
      say_at_work("weights_by_hand", on: on(:weigh, at: :corner)) do |_, touch|
        touch.figures[:weights] && touch.figures.slice(:weights)
      end

      # Face down, the leading edge is on the other hand.
      say_at_work("mirror_view", on: on(:fold, at: :side, layer: :face)) { {} }

      # The second curtain copies the first.
      say_at_work("second_copies_first", on: on(:press, at: :hem, layer: :face)) { |seen, _| {} if seen.pair? }

      # Both curtains are compared before either hem is sewn.
      say_at_work("pair_before_sewing", on: on(:compare)) do |seen, touch|
        {tolerance: seen.house.pair_tolerance} if touch.operation.edge == :hem || seen.is_a?(AlterCase)
      end

      # At both edges and in the middle, and at each seam.
      say_at_work("middle_too", on: on(:mark, at: :top, layer: :face)) do |seen, touch|
        next unless touch.figures[:finished_drop]

        {form: (seen.curtains.any? { |curtain| curtain.seams.positive? }) ? :seams : nil}.compact
      end

      # Errors add up over three widths and more.
      say_at_work("square_each_width", on: on(:mark, at: :top, layer: :face)) do |seen, touch|
        widths = seen.curtains.map(&:widths).max
        {widths: widths.ceil} if touch.figures[:finished_drop] && widths >= 3
      end

      # Heavy cloth is lifted to the table, not pulled.
      caution_at_work("lift_dont_pull", on: on(:lay)) do |seen, _|
        mass = seen.each_mass
        {mass: mass, limit: seen.house.lift_limit} if mass && mass > seen.house.lift_limit
      end

      # Heavy cloth pulls the seam off the line.
      say_at_work("needle_down", on: on(:sew, by: :machine)) do |seen, touch|
        heavy = touch.material&.heavy || (seen.each_mass && seen.each_mass > seen.house.lift_limit)
        {} if heavy
      end

      # A table's own line is no measure until the tape says so.
      say_at_work("own_line_true", on: on(:measure, at: :table)) { |_, touch| {drop: touch.figures[:finished_drop]} }

      # Pins that stand aslant stay where they are when the cloth is smoothed.
      say_at_work("pins_aslant", on: on(:pin, at: :hem)) { |_, touch| {} if touch.step.deed?(:lay) }

      # The lower layer too.
      say_at_work("yardstick", on: on(:lay, layer: %i[lining interlining])) { |_, touch| {} if laid_together?(touch) }

      # Air under a wide lining lets it hang long.
      say_at_work("sweep_air", on: on(:lay, layer: :lining)) do |seen, touch|
        {} if laid_together?(touch) && !touch.step.deed?(:sew) && seen.curtains.any? { |curtain| curtain.widths >= 2 }
      end

      # @return [Boolean] whether two cloths are laid on each other to stay so
      #
      #   Judgement.laid_together?(Touch.new(step: steps.first, operation: nil, layer: nil, material: nil)) # => false
      def self.laid_together?(touch) = touch.step.deed?(:pin) || touch.step.deed?(:lock)

      # A wavy selvedge is folded a little past its line.
      say_at_work("wavy_selvedge", on: on(:fold, at: :side, layer: :lining)) do |seen, touch|
        {} if touch.operation.layers.include?(:face) && seen.treatment.face.selvedge_in_seam
      end

      # A curved needle saves lifting.
      say_at_work("curved_needle", on: on(:lock, at: :seam)) { {} }

      # Where locking stops, tape or buckram still goes in.
      say_at_work("stop_below_top", on: on(:lock, layer: :lining)) do |_, touch|
        touch.figures[:stop_below] && {stop: touch.figures[:stop_below]}
      end

      # Both sides are sewn in one direction.
      say_at_work("same_direction", on: on(:sew, at: :side, layer: :lining, by: :machine)) { {} }

      # A lining that runs long is eased, not cut off.
      say_at_work("lining_long", on: on(:sew, at: :side, layer: :lining, by: :machine)) { {} }

      # The face's wrap is measured on the first curtain and kept.
      say_at_work("wrap_measured", on: on(:measure, at: :side)) do |seen, touch|
        next unless touch.figures[:wrap]

        measured = seen.treatment.wrap_measured
        form = [(:single unless seen.pair?), (:kept if measured)].compact.join("_")
        {form: form.empty? ? nil : form.to_sym, wrap: touch.figures[:wrap]}.compact
      end

      # A hand-finished corner stands a hair proud, or the side draws it up.
      say_at_work("corner_proud", on: on(:fold, at: :top, layer: :face)) do |seen, _|
        next unless seen.is_a?(JudgementCase)

        work = MakingUp::MakingCase.new(reckoning: seen.reckoning, house: seen.house)
        {least: Length.mm(3/2r), most: Length.mm(3)} if work.sewn(:side) == :hand && work.side.taken.positive?
      end

      # A puffed frill's fold is never pressed.
      say_at_work("never_crease", on: on(:press, at: :top, layer: :face)) do |seen, _|
        next unless seen.is_a?(JudgementCase) && seen.heading.respond_to?(:frill) && seen.heading.frill.positive?

        {frill: seen.heading.frill}
      end

      # A corner that is mitred keeps its weight.
      say_at_work("mitred_corner", on: on(:fold, at: :corner)) { |_, touch| {} if touch.step.deed?(:press) }

      # Several small things hold one curtain: each is counted.
      say("pieces_counted", "making") do |seen|
        parts = seen.hardware.select { |part| Sundries::BY_NAME.fetch(part.name).hangs }.map(&:name)
        {parts: parts} if seen.reckoning && parts.size > 1
      end
    end
  end
end
