# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of cloth and lining.
    module Judgement
      # The coated side of a blackout lies between the cloths.
      say_at_work(
        "coated_inside",
        "cloth",
        on: on(:lay, layer: :lining, of: :coated),
        made: ->(seen) { {cloth: seen.treatment.lining.cloth.name} if seen.coated? }
      ) { |_, touch| {cloth: touch.material.name} if touch.step.deed?(:pin) }

      # A public room, or a heater or flame near.
      caution("flame_public", "cloth", "hanging") do |seen|
        {} if seen.treatment.site.public_room || seen.treatment.site.heat_near
      end

      # Half widths hang at the return edges.
      say("join_place", "cloth") { |seen| {} if seen.curtains.any? { |curtain| curtain.widths.denominator == 2 } }

      # Which fold is level across the room: hem or top?
      ask("level_pattern", "cloth", "cutting") do |seen|
        face = seen.treatment.face
        if face&.repeats? && seen.curtains.size > 1 && seen.treatment.pattern.place == "free"
          {repeat: face.vertical_repeat}
        end
      end

      # Which school the lining follows, and what it means.
      say("lining_schools", "cloth") do |seen|
        lining = seen.treatment.lining or next
        method = seen.treatment.order_of_work
        form = :in_hem if method.lining_in_hem?
        form ||= :bagged if method.bags?
        {form: form, lift: lining.lift, inset: lining.inset}.compact
      end

      # A printed selvedge shows against the light and draws the side up.
      say("selvedge_shows", "cloth", "cutting") do |seen|
        face = seen.treatment.face
        next unless face&.selvedge&.positive?

        {selvedge: face.selvedge} if face.repeats? || face.selvedge_in_seam || face.frays
      end

      # Spare above the top: how much, and when it is trimmed.
      say("spare_or_exact", "cloth") do |seen|
        squaring = seen.treatment.making.squaring
        {spare: squaring} if squaring.positive?
      end

      # Buckram's glue and prints: a scrap first.
      say_at_work("test_heat", "cloth", on: on(:fuse), made: ->(seen) { {} if seen.heading.fused? }) { {} }
    end
  end
end
