# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Hanging station: what to carry, how high the support is, which edges lead, and what concerns people.
      class Hanging < Desk
        STATION = "hanging"
        def self.asks = %i[log]

        # @param form [Forms::MeasureForm, nil] measures that could not be read, and `of` which curtain
        def initialize(sheet, entry, log: Work::BenchLog.new([]), measure: nil, of: nil, **shown)
          super(sheet, entry, log: log, **shown)
          @measure, @measured_of = measure, of
        end

        # @return [Array<String>] what is done, one after the other
        def order = hanging.order.map { |told| Words.told(told, unit) }

        # What is measured of one curtain as it hangs: `made` as the bench has it, `last` the last at each edge.
        FinalCheck = R::Value.define(:curtain, :check, :readings, :last) do
          def fits? = last.all? { |reading| check.fits?(reading.length) }
        end

        # @return [Array<FinalCheck>] for each curtain: what clears the foot where that is known, else its drop, at both
        #   edges
        def final_checks = @final_checks ||= hands.map { |hand| final(hand) }

        # @return [FinalCheck]
        # @raise [Store::Missing]
        def final_of(hand) = final_checks.find { |one| one.curtain == hand } || raise(Store::Missing, "no such curtain")

        # @return [Field] the measure of one curtain at one edge
        def measure_field(check, place)
          mine = @measure && @measured_of == check.curtain
          problem = mine ? @measure.problems[place] : nil
          Field.of(
            path: Forms::MeasureForm.field(place),
            label: Words.say("edges.#{place}"),
            text: mine ? @measure.typed[place] : "",
            problem: problem && Words.field_problem(problem, unit)
          )
        end

        # @return [String] what was measured means
        def verdict(check) =
          Words.say(
            check.fits? ? "hanging.right" : "hanging.outside",
            tolerance: check.check.tolerance,
            planned: check.check.planned,
            unit: unit
          )

        # @return [Hash{String => String}] files, and the words for each
        def papers = {"hanging-sheet.pdf" => "making_papers.hanging", "tags.pdf" => "making_papers.tags"}

        # @return [Array(String, String)] why there is nothing to hang yet, and the station where that is mended
        def not_yet = [Words.say("hanging.not_yet"), "cloth"]

        # @return [Array<Array(String, Object)>] small parts to carry, counted
        def carried =
          (hanging ? hanging.carried : {}).map do |name, count|
            [Words.say("sundries.#{name}"), Words.value_in(count, unit)]
          end

        # @return [Array<Array(String, String)>] each curtain with the edge that leads
        def edges = hanging.edges.map { |hand, told| [Words.hand(hand), Words.told(told, unit)] }

        # @return [Array<Array(String, Reckoning::Length)>] the lengths to check when it hangs
        def lengths = hanging.lengths.map { |told, length| [Words.told(told, unit), length] }

        # @return [Array<Array(String, Reckoning::Length)>] the drops as they were made, where they were measured
        def as_made =
          Work::Logbook::DROPS.flat_map { |code| @log.as_made(code) }.map do |reading|
            where = [*(Words.tick(reading.curtain) unless reading.curtain.empty?),
              *(Words.say("edges.#{reading.place}") unless reading.place.empty?)]
            [Words.say("hanging.drop_as_made", where: where.join(", ")), reading.length]
          end

        # @return [Array<String>] the curtains
        def hands = entry.hands

        private

        # @return [Work::Hanging, Work::AlteredHanging, nil] nil while something is wanting
        def hanging = @hanging ||= reckoning && entry.hanging(sheet)

        def final(hand)
          readings = @log.hung(hand)
          FinalCheck.new(
            curtain: hand,
            check: hanging.check,
            readings: readings,
            last: readings.group_by(&:place).values.map(&:last)
          )
        end
      end
    end
  end
end
