# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Of what a cloth does under iron, pin, needle and shears.
    module Judgement
      # Pins leave holes that show light.
      say_at_work("no_pinholes", on: on(:pin, of: :coated)) { |_, touch| {cloth: touch.material.name} }

      # A hot needle melts a coating.
      say_at_work("slow_needle", on: on(:sew, by: :machine, of: :coated)) { |_, touch| {cloth: touch.material.name} }

      # Slippery and linen-like cloth creeps under the needle.
      say_at_work("creeps", on: on(:sew, of: :creeps)) { |_, touch| {cloth: touch.material.name} }

      # An edge that curls wants no heat.
      say_at_work("curls", on: on(:press, of: :curls)) { |_, touch| {cloth: touch.material.name} }

      # Sticky tape gums the needle in light cloth.
      say_at_work("no_sticky_tape", on: on(:pin, of: :light)) { |_, touch| {cloth: touch.material.name} }

      # Light cloth and creeping cloth make small pleats before the foot.
      say_at_work("tack_bumps", on: on(:sew, by: :machine, of: :light)) { |_, touch| {cloth: touch.material.name} }

      # What frays is overcast as it is cut.
      say_at_work("overcast_edge", on: on(:cut, of: :frays)) { |_, touch| {cloth: touch.material.name} }

      # A print comes off on the board and on the next cloth.
      say_at_work("prints_transfer", on: on(:press, :fuse, of: :printed)) { |_, touch| {cloth: touch.material.name} }

      # A finished curtain is pressed from behind.
      say_at_work("press_from_behind", on: on(:press, layer: :lining)) { |_, touch| {} if touch.operation.edge.nil? }

      # By hand, one thread of the face.
      say_at_work("one_thread", on: on(:sew, by: :hand, layer: :face)) do |_, touch|
        {apart: Length.inches(1/2r)} if %i[hem side].include?(touch.operation.edge)
      end
    end
  end
end
