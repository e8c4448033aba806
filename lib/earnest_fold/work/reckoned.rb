# frozen_string_literal: true

module EarnestFold
  module Work
    # A stored treatment read into the core and, where it can be, reckoned: its figures alone, whatever else is said
    # of the work.
    class Reckoned
      include Remembers

      R = Reckoning
      # Nothing can be made of it, though nothing is wanting: a fault of the program's own, at this one record.
      FAULT = R::Problem.new(at: "", code: :faulty, data: {})

      # @return [Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob, nil]
      attr_reader :reckoning
      # @return [Array<Reckoning::Problem>] what stands in the way of it
      attr_reader :problems
      # @return [Array] everything that it was made from
      attr_reader :made_of

      # @param read [Reckoning::Treatment, Reckoning::AlterationOfJob, Array<Reckoning::Problem>]
      # @param made_of [Array]
      def initialize(read, made_of)
        @made_of = made_of
        @problems = read.is_a?(Array) ? read : []
        made = read.is_a?(R::Treatment) ? R::TreatmentReckoning.new(read) : read
        @reckoning = read.is_a?(Array) ? nil : made
      end

      # @return [Reckoned] of which nothing can be made
      #
      #   Work::Reckoned.faulty.problems.map(&:code) # => [:faulty]
      def self.faulty = new([FAULT], [])

      # @return [Boolean]
      #
      #   work.reckoned.faulty? # => false
      def faulty? = problems.any? { |problem| problem.code == :faulty }

      # @return [Array<Reckoning::Choice>] half a width and a width less and more
      #
      #   work.reckoned.choices.size # => 5
      def choices = @choices ||= reckoning ? R::Choices.of(reckoning) : []

      # @param cloth [Reckoning::Cloth]
      # @return [ClothAlone] as if this treatment were alone on the cloth
      #
      #   work.reckoned.cloth_alone(cloth).reckoned.length_needed # => 10328 mm
      def cloth_alone(cloth) = (@alone ||= {})[cloth.id] ||= ClothAlone.new(cloth, reckoning)

      # @param cloth [Reckoning::Cloth]
      # @return [Reckoning::ClothReckoning] the same, reckoned
      #
      #   work.reckoned.alone(cloth).length_needed # => 10328 mm
      def alone(cloth) = cloth_alone(cloth).reckoned
    end
  end
end
