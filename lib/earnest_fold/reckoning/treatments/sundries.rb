# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a treatment needs beside cloth, summed over its curtains: what weighs its foot, what its heading counts and
    # measures off, and what its supports take.
    module Sundries
      # One sort: whether it is measured off rather than counted, whether a house keeps it and counts what is there,
      # whether a job is held against that, whether hanging waits for it, whether it rides on the support, whose count
      # may be given with it, and whether it is made into the curtain, so that nobody carries it.
      class Sort < Value.define(:name, :measured, :kept, :held_against, :hangs, :carried, :sewn_in)
        # @return [Sort] held against the job where a house keeps it
        #
        #   Sundries::Sort.of(:weights, kept: false).kept # => false
        def self.of(name, measured: false, kept: true, hangs: false, carried: false, sewn_in: false) =
          new(
            name: name,
            measured: measured,
            kept: kept,
            held_against: kept,
            hangs: hangs,
            carried: carried,
            sewn_in: sewn_in
          )
      end

      # In the order in which they are told.
      ALL = [
        Sort.of(:hooks, hangs: true, carried: true),
        Sort.of(:end_hooks, hangs: true),
        Sort.of(:gliders, hangs: true, carried: true),
        Sort.of(:rings, hangs: true, carried: true),
        Sort.of(:end_stops, hangs: true),
        Sort.of(:eyelets, hangs: true, sewn_in: true),
        Sort.of(:ties, hangs: true),
        Sort.of(:snaps, hangs: true),
        Sort.of(:tiebacks, kept: false),
        Sort.of(:tieback_rings, sewn_in: true),
        Sort.of(:hook_and_loop, measured: true, sewn_in: true),
        Sort.of(:weights, sewn_in: true),
        Sort.of(:cord, measured: true),
        Sort.of(:tape_length, measured: true, sewn_in: true),
        Sort.of(:buckram_length, measured: true, sewn_in: true),
        Sort.of(:stiffening, measured: true, sewn_in: true),
        Sort.of(:chain, measured: true, sewn_in: true),
        Sort.of(:weight_tape, measured: true, sewn_in: true),
        Sort.of(:pipe, measured: true),
        Sort.of(:tabs, kept: false, sewn_in: true)
      ].freeze
      BY_NAME = ALL.to_h { |sort| [sort.name, sort] }.freeze
      # By the curtain or its support rather than by its heading.
      OF_CURTAIN = %i[
        weights chain weight_tape pipe end_stops cord stiffening tiebacks tieback_rings hook_and_loop
      ].freeze
      BY_HEADING = (BY_NAME.keys - OF_CURTAIN).freeze
      # What is laid along the whole foot.
      ALONG = {"chain" => :chain, "tape" => :weight_tape, "pipe" => :pipe}.freeze
      # What of them a house has on hand.
      ON_HAND = Fields.new(
        ALL.select(&:kept).to_h do |sort|
          [sort.name, sort.measured ? Declare.length(nil) : Declare.count(nil)]
        end
      )
      private_constant :OF_CURTAIN, :BY_HEADING, :ALONG

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
        [weighing(reckoning), of_supports(reckoning.treatment), stiffening(reckoning), tying_back(reckoning), counted]
          .reduce(:merge)
      end

      # What weighs the foot, as it was chosen; nothing where there is no hem for it.
      #
      #   Sundries.weighing(reckoning) # => {:weights=>6}
      def weighing(reckoning)
        treatment, curtains = reckoning.treatment, reckoning.curtains
        along = ALONG[treatment.weighting] if treatment.making.hem.taken.positive?
        return {along => curtains.map(&:flat_width).reduce(:+)} if along

        count = curtains.sum { |curtain| treatment.weights(curtain) }
        count.positive? ? {weights: count} : {}
      end

      # What stiffens the turned tops, all its layers.
      #
      #   Sundries.stiffening(reckoning) # => {}
      def stiffening(reckoning)
        stiffened = reckoning.treatment.heading.stiffened or return {}
        lengths = reckoning.curtains.map { |curtain| reckoning.stiffening_length(curtain) }
        {stiffening: lengths.reduce(:+) * stiffened.layers}
      end

      def tying_back(reckoning) = (one = reckoning.tieback) ? {tiebacks: one.count, **one.fastened_by} : {}
      private_class_method :tying_back

      # A stop at each end of each support where hooks end on it, and the cord that gliders ride on.
      #
      #   Sundries.of_supports(treatment) # => {}
      def of_supports(treatment)
        stops = treatment.heading.ends_on_stops? ? {end_stops: treatment.supports.size * 2} : {}
        lengths = treatment.heading.hangs_on_cord? ? treatment.supports.compact : []
        lengths.empty? ? stops : stops.merge(cord: lengths.reduce(:+))
      end
    end
  end
end
