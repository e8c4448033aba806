# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A window, with the treatments that hang at it.
    Window = Value.define(:id, :room, :name, :treatments)

    # A whole job: cloths, windows and alterations, as read from a document or a store.
    class Job < Value.define(:title, :unit, :cloths, :windows, :alterations, :small_parts)
      # @return [Array<Treatment>]
      #
      #   job.treatments.map(&:id) # => ["office", "parlour"]
      def treatments = windows.flat_map(&:treatments)

      # @return [JobReckoning]
      # @raise [Invalid] with every problem, by its place in the job document
      #
      #   job.reckon.treatments.map(&:widths_total) # => [4, 4]
      def reckon
        problems = Problems.new
        windows.each_with_index { |window, index| refuse(window, problems.within(:windows).within(index)) }
        problems.raise_any
        JobReckoning.new(self)
      end

      private

      def refuse(window, problems)
        window.treatments.each_with_index do |treatment, index|
          Refusals.check(treatment, problems.within(:treatments).within(index))
        end
      end
    end

    # A job reckoned whole.
    class JobReckoning
      # @return [Job]
      attr_reader :job
      # @return [Array<TreatmentReckoning>]
      attr_reader :treatments
      # @return [Array<ClothReckoning>]
      attr_reader :cloths

      # @param job [Job] one that nothing refuses
      def initialize(job)
        @job = job
        @treatments = job.treatments.map { |treatment| TreatmentReckoning.new(treatment) }.freeze
        cuts = Cutting::Demand.by_cloth(@treatments)
        @cloths = job.cloths.map { |cloth| ClothReckoning.new(cloth, cuts.fetch(cloth.id, [])) }.freeze
        freeze
      end
    end
  end
end
