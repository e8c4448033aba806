# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Small parts counted against what is on hand: `here` what one treatment takes, `whole` the whole job, `on_hand`
    # nil where nobody has counted.
    Hardware = Value.define(:name, :here, :whole, :on_hand) do
      # @return [Integer, Length, nil] how much to get; nil where it is enough, or not counted
      #
      #   Hardware.new(name: :hooks, here: 28, whole: 28, on_hand: 20).short # => 8
      def short = (on_hand && on_hand < whole) ? whole - on_hand : nil

      # @return [Boolean] whether anybody has counted what is on hand
      #
      #   Hardware.new(name: :hooks, here: 28, whole: 28, on_hand: nil).counted? # => false
      def counted? = !on_hand.nil?
    end

    # What hanging waits for, and how much of it there is.
    module HardwareCount
      module_function

      # @param reckoning [TreatmentReckoning, AlterationOfJob]
      # @param job [Array<TreatmentReckoning, AlterationOfJob>] all work of the job, this one among it
      # @param on_hand [Hash{Symbol => Integer, Length}]
      # @return [Array<Hardware>] of the parts that this treatment takes
      #
      #   HardwareCount.of(reckoning, [reckoning], {hooks: 20}).first.short # => 8
      def of(reckoning, job, on_hand)
        counted(reckoning.sundries, total(job), on_hand)
      end

      # @param job [Array<TreatmentReckoning, AlterationOfJob>] all work of the job
      # @param on_hand [Hash{Symbol => Integer, Length}]
      # @return [Array<Hardware>] of the parts that the job takes
      #
      #   HardwareCount.of_job(job.reckon.treatments, {"hooks" => 20}).map(&:short) # => [nil, nil, nil, nil]
      def of_job(job, on_hand) = total(job).then { |whole| counted(whole, whole, on_hand) }

      def counted(here, whole, on_hand) =
        Sundries::ALL
          .select { |sort| sort.held_against && here[sort.name] }
          .map(&:name)
          .map { |name| Hardware.new(name: name, here: here[name], whole: whole[name], on_hand: on_hand[name]) }
      private_class_method :counted

      # @param job [Array<TreatmentReckoning, AlterationOfJob>]
      # @return [Hash{Symbol => Integer, Length}] the sundries of all
      #
      #   HardwareCount.total(job.reckon.treatments)[:hooks] # => 52
      def total(job) =
        job.each_with_object({}) { |made, sums| sums.merge!(made.sundries) { |_, sum, more| sum + more } }
    end
  end
end
