# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Making station: the order of work with its figures, what was done and measured.
      class Making < Desk
        STATION = "making"
        SHARED = %i[hem_depth finished_drop tolerance].freeze

        # Something measured of one curtain, beside the others of the room.
        Compared = R::Value.define(:title, :hand, :typed, :length)

        def self.asks = %i[log room last_time]

        # @param log [Work::BenchLog]
        # @param room [Array<Array(Integer, Store::Bench::Entry)>] what was measured last of the job's treatments
        # @param last_time [Store::Logbook::Lesson, nil] what was learnt last of other work with this cloth
        def initialize(sheet, entry, log: Work::BenchLog.new([]), room: [], last_time: nil, **shown)
          super(sheet, entry, log: log, **shown)
          @room, @last_time = room, last_time
        end

        attr_reader :last_time

        # Small parts are counted where they are ordered and carried.
        def hardware = []

        # @return [Array<Compared>] the finished drops as made of this room's curtains of the same planned drop
        def compared
          alike =
            sheet
              .entries
              .select do |other|
                other.reckoning && other.window.room == entry.window.room &&
                  other.reckoning.finished_drop == reckoning.finished_drop
              end
              .to_h { |other| [other.id, other.title] }
          @compared ||=
            @room
              .select { |id, said| said.step == "mark_drop" && alike.key?(id) }
              .map do |id, said|
                Compared.new(
                  title: alike.fetch(id),
                  hand: [Words.tick(said.curtain), *(said.place.empty? ? [] : [Words.say("edges.#{said.place}")])].join(
                    ", "
                  ),
                  typed: said.value,
                  length: R::LengthReader.read(said.value, unit)
                )
              end
        end

        # @return [Reckoning::Length] how far they lie apart
        def spread = compared.map(&:length).minmax.then { |least, most| most - least }

        # @return [String] whether they are alike, in words
        def spread_words =
          Words.say(
            (spread > house.pair_tolerance) ? "making.spread" : "making.alike",
            spread: spread,
            tolerance: house.pair_tolerance,
            unit: unit
          )

        # @return [Array<Reckoning::MakingUp::Step>]
        def steps = reckoning ? entry.steps : []

        def done?(step) = @log.done?(step)

        def done = steps.count { |step| done?(step) }

        # @param tick [String] of one curtain, or of one width
        def ticked?(step, tick) = @log.ticked?(step, tick)

        # @return [Boolean] whether a step is done one by one
        def in_turn?(step) = step.ticks.size > 1

        # @return [Array<Work::BenchLog::Reading>]
        def readings(step) = @log.readings(step)

        # @return [String] "3 h 20 min" in all
        def in_all = Words.in_all(steps.sum(&:minutes))

        def title(step) = Words.step(step)

        # @return [Array<String>] of a step that is begun: what of it is done, in words
        def done_of(step)
          return [] if done?(step) || !@log.begun?(step)

          step.ticks.select { |tick| ticked?(step, tick) }.map { |tick| Words.tick(tick) }
        end

        # @return [Array<Array(String, Object)>] each curtain with its main figure, where they differ
        def mains(step) =
          step.parts.map { |part| [Words.tick(part.curtain.to_s), part.figures.values.first] }.uniq(&:last)

        # @return [String] what is to be done, with the real figures
        def does(step) = said_of_steps.fetch(step.name)

        def said_of_steps =
          @said_of_steps ||= once(:does) { steps.to_h { |one| [one.name, Words.step_done(one, unit)] } }

        # @return [Array<Reckoning::Remark>] what an experienced maker says at this step
        def said(step) = remarks_by_step.fetch(step.code, [])

        # Remarks stand at their steps here.
        def remarks = []

        # @return [Hash{String => String}] files, and the words for each
        def papers =
          {
            "work-order.pdf" => "making_papers.work",
            "strip.pdf" => "making_papers.strip",
            "tags.pdf" => "making_papers.tags"
          }

        # @return [Array(String, String)] why there are no steps yet, and the station where that is mended
        def not_yet = [Words.say("making.not_yet"), "cloth"]

        # @return [String] a step's page by its name; where work goes on without one
        def bench_path(step = nil) = Paths.bench(job.id, entry.id, step&.name)

        private

        def remarks_by_step
          @remarks_by_step ||= once(:remarks_by_step) { entry.said_of_steps(sheet) }
        end
      end
    end
  end
end
