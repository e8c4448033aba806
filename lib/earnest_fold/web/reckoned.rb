# frozen_string_literal: true

module EarnestFold
  module Web
    # A stored treatment read into the core and, where it can be, reckoned, with what screens ask of it again and again.
    class Reckoned
      R = Reckoning
      MOST_MADE = 60
      # @return [Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob, nil]
      attr_reader :reckoning
      # @return [Array<Reckoning::Problem>] what stands in the way of it
      attr_reader :problems
      # @return [Object] everything that it was made from
      attr_reader :key

      # @param read [Reckoning::Treatment, Reckoning::AlterationOfJob, Array<Reckoning::Problem>]
      # @param key [Object]
      def initialize(read, key)
        @key = key
        @problems = read.is_a?(Array) ? read : []
        made = read.is_a?(R::Treatment) ? R::TreatmentReckoning.new(read) : read
        @reckoning = read.is_a?(Array) ? nil : made
      end

      # Nothing can be made of it, though nothing is wanting: a fault of the program's own, at this one record.
      FAULT = R::Problem.new(at: "", code: :faulty, data: {})

      # @return [Reckoned]
      def self.faulty = new([FAULT], nil)

      # @return [Boolean]
      def faulty? = problems.any? { |problem| problem.code == :faulty }

      # @return [Array<Reckoning::Choice>] half a width and a width less and more
      def choices = @choices ||= reckoning ? R::Choices.of(reckoning) : []

      # @param cloth [Reckoning::Cloth]
      # @return [Reckoning::ClothReckoning] as if this treatment were alone on the cloth
      def alone(cloth) = (@alone ||= {})[cloth.id] ||= R::ClothReckoning.of(cloth, [reckoning])

      # What screens make of it, made once: a drawing, a state, a part of a page.
      # @param key [Array] everything that it depends on besides this treatment and its cloths
      # @yieldreturn [Object]
      def once(*key)
        @made = {} if @made.nil? || @made.size > MOST_MADE
        @made.fetch(key) { @made[key] = yield }
      end
    end
  end
end
