# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a treatment needs beside cloth, summed over its curtains: weights (or chain instead, by the flat width),
    # and what its heading counts and measures off.
    module Sundries
      # One sort: whether it is measured off rather than counted, whether a house keeps it and counts what is there,
      # whether a job is held against that (a chain stands for weights), whether hanging waits for it, and whether it
      # rides on the support, whose count may be given with it.
      Sort = Value.define(:name, :measured, :kept, :held_against, :hangs, :carried) do
        def self.of(name, measured: false, kept: true, held_against: true, hangs: false, carried: false) =
          new(name: name, measured: measured, kept: kept, held_against: held_against, hangs: hangs, carried: carried)
      end

      # In the order in which they are told.
      ALL = [
        Sort.of(:hooks, hangs: true, carried: true),
        Sort.of(:gliders, hangs: true, carried: true),
        Sort.of(:rings, hangs: true, carried: true),
        Sort.of(:eyelets, hangs: true),
        Sort.of(:weights),
        Sort.of(:tape_length, measured: true),
        Sort.of(:buckram_length, measured: true),
        Sort.of(:chain, measured: true, held_against: false),
        Sort.of(:tabs, kept: false, held_against: false)
      ].freeze
      BY_NAME = ALL.to_h { |sort| [sort.name, sort] }.freeze
      # By the curtain itself rather than by its heading.
      OF_CURTAIN = %i[weights chain].freeze
      BY_HEADING = (BY_NAME.keys - OF_CURTAIN).freeze
      # What of them a house has on hand.
      ON_HAND = Fields.new(
        ALL.select(&:kept).to_h do |sort|
          [sort.name, sort.measured ? Declare.length(nil) : Declare.count(nil)]
        end
      )
      private_constant :BY_HEADING

      module_function

      # @param reckoning [TreatmentReckoning]
      # @return [Hash{Symbol => Integer, Length}] without what isn't needed
      #
      #   Sundries.of(reckoning)[:hooks] # => 28
      def of(reckoning)
        curtains = reckoning.curtains
        figures = curtains.map(&:heading)
        counted =
          BY_HEADING
            .select { |name| figures.all? { |heading| heading[name] } }
            .to_h { |name| [name, figures.map { |heading| heading[name] }.reduce(:+)] }
        {weights: curtains.sum(&:weights), chain: curtains.map(&:flat_width).reduce(:+), **counted}
      end
    end
  end
end
