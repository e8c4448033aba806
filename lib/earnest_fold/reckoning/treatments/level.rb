# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Where in its repeat the pattern stands at a curtain's two folds, so that one can tell whether it is level across
    # a room.
    module Level
      # `top` and `hem`: how far below a repeat line the pattern is at that fold, on a leading width of phase A.
      At = Value.define(:top, :hem)

      module_function

      # @param reckoning [TreatmentReckoning]
      # @return [At, nil] nil where nothing repeats along the drop
      #
      #   Level.of(reckoning).hem # => 248 mm
      def of(reckoning)
        cut = reckoning.drop_cut
        return if !cut.cloth.repeats? || cut.sideways

        start, repeat = reckoning.pattern_start, cut.cloth.vertical_repeat
        At.new(top: (start + cut.top_fold) % repeat, hem: (start + cut.hem_fold) % repeat)
      end

      # @param reckonings [Array<TreatmentReckoning>] of one room
      # @return [Symbol, nil] :hem or :top, where the pattern of all that have one stands alike; nil where it doesn't,
      #   or only one has
      #
      #   Level.fold([reckoning, reckoning]) # => :hem
      def fold(reckonings)
        patterned =
          reckonings
            .select { |made| of(made) }
            .group_by { |made| made.treatment.face.id }
            .values
            .find { |alike| alike.size > 1 } or return
        [:hem, :top].find { |fold| patterned.map { |made| of(made).public_send(fold) }.uniq.size == 1 }
      end
    end
  end
end
