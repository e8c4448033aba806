# frozen_string_literal: true

module EarnestFold
  module Work
    # What everything that a workroom has in hand answers, whether it is made ({Treatment}) or altered ({Alteration}):
    # what stands in the store, what is reckoned of it, its stations, its order of work and how far it is. Who includes
    # it says besides: `sort`, `checks_at`, `needs?`, `hands`, `judged`, `asked_for`, `order_kinds`, `billed`, and what
    # lists and pictures show of it.
    module AtWork
      include Remembers

      # So far from what was expected a measure is believed.
      BELIEVED = Reckoning::Length.mm(50)

      # What was said of a work so far: the names of the cuts made (cloth, curtain, width), the names of the steps done
      # (code, curtain), whether it hangs, and whether the job's invoice is written.
      Progress = Reckoning::Value.define(:made, :done, :hung, :invoiced)

      # @return [Store::Records::Treatment]
      attr_reader :record
      # @return [Store::Records::Window]
      attr_reader :window
      # @return [Reckoned]
      attr_reader :reckoned
      # @return [Reckoning::HouseRules]
      attr_reader :house
      # @return [Progress]
      attr_reader :progress

      # @param record [Store::Records::Treatment]
      # @param window [Store::Records::Window] where it hangs
      # @param reckoned [Reckoned]
      # @param house [Reckoning::HouseRules]
      # @param house_state [Object] what stands for all that the house has decided
      # @param progress [Progress]
      def initialize(record:, window:, reckoned:, house:, house_state:, progress:)
        @record, @window, @reckoned, @house, @progress = record, window, reckoned, house, progress
        @house_state = house_state
      end

      # @return [Array] all that it was given
      def made_of =
        [record.id, record.version, record.source, reckoned.state, window.room, window.name, layered?, @house_state,
          made, done, hung, invoiced]

      # @return [AtWork] the same, of which nothing is reckoned
      #
      #   work.faulty.reckoned.faulty? # => true
      def faulty =
        self.class.new(
          record: record,
          window: window,
          reckoned: Reckoned.faulty,
          house: house,
          house_state: @house_state,
          progress: progress
        )

      # @return [Integer]
      #
      #   work.id # => 1
      def id = record.id

      # @return [Array<Array(String, String, Integer)>] the cuts made: cloth, curtain, width
      #
      #   work.made # => []
      def made = progress.made

      # @return [Array<Array(String, String)>] the steps done: code, curtain
      #
      #   work.done # => []
      def done = progress.done

      # @return [Boolean] whether it hangs
      #
      #   work.hung # => false
      def hung = progress.hung

      # @return [Boolean] whether its job's invoice is written
      #
      #   work.invoiced # => false
      def invoiced = progress.invoiced

      # @return [Array<Reckoning::MakingUp::Step>] its order of work, by the house's schools
      #
      #   work.steps.first.code # => "lay_out_cuts"
      def steps = once(:steps) { Reckoning::MakingUp::Order.new(reckoning, house).steps }

      # @param job [Job] that it belongs to
      # @return [Hash{String => Array<Reckoning::Remark>}] what an experienced maker says at each step, by its code
      #
      #   work.said_of_steps(in_hand).size # => 10
      def said_of_steps(job) = Reckoning::Judgement.at_steps(looked_at(job), steps)

      # @param code [String] of a step
      # @param curtain [String] "" for all of them
      # @return [Reckoning::MakingUp::Part, nil] what is done of the step at that curtain
      #
      #   work.part("press_hem", "left").curtain # => "left"
      def part(code, curtain)
        step = steps.find { |one| one.code == code }
        step&.parts&.find { |one| one.curtain.to_s == curtain }
      end

      # What is measured on the first curtain decides where its check says so; what is too far from what was expected is
      # measured once more first, and nothing is taken that leaves nothing to make.
      # @param job [Job] that it belongs to
      # @param typed [String] with its unit
      # @return [Hash, nil] what is kept of it with that figure; nil where nothing follows
      def settled_by(job, code, curtain, typed)
        check = part(code, curtain)&.check
        return unless check&.settles && curtain == hands.first
        return if (Reckoning::LengthReader.read(typed, job.unit) - check.planned).abs > BELIEVED

        spec = SpecFields.set(record.spec, check.settles, typed)
        spec unless job.read(id, spec).is_a?(Array)
      end

      # @return [Array<String>] the codes of the questions that have been answered
      #
      #   work.answered # => []
      def answered = record.spec.fetch("answers", {}).keys

      # @return [Hash{String => Rational}] how long it takes, by the step's code
      #
      #   work.minutes_by_step.size # => 14
      def minutes_by_step =
        once(:minutes_by_step) do
          steps.group_by(&:code).transform_values { |steps| steps.sum(0r, &:minutes) }
        end

      # @param tick [String] what is ticked of it: a curtain, or a width of one; "" for all of it
      # @return [Boolean] whether a step is called so here: by any order of work, not only by today's
      #
      #   work.step_known?("press_hem", "") # => true
      def step_known?(code, tick) =
        !reckoning.nil? && !order_kinds[code].nil? && (tick.empty? || hands.include?(tick[/\A([^:]+)(:\d{1,3})?\z/, 1]))

      # @return [Boolean] whether every step is done, each tick by its name
      #
      #   work.finished? # => false
      def finished? = !reckoning.nil? && done.any? && steps.any? && (steps.flat_map(&:names) - done).empty?

      # @return [Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob, nil] nil while something is wanting
      #
      #   work.reckoning.widths_total # => 4
      def reckoning = reckoned.reckoning

      # @return [Array<Reckoning::Problem>] what stands in the way of it
      #
      #   work.problems # => []
      def problems = reckoned.problems

      # @return [Reckoning::Check, nil] the first that stops it
      #
      #   work.stop # => nil
      def stop = checks.find(&:stop?)

      # @return [String] its own name where it has one, as layers do, behind the window's
      #
      #   work.title # => "office"
      def title
        place = window.name.empty? ? window.room : window.name
        own = record.spec["name"].to_s
        own.empty? ? place : "#{place}, #{own}"
      end

      # @return [Boolean] whether several works hang at its window
      #
      #   work.layered? # => false
      def layered? = window.treatments.count { |other| !other.put_away } > 1

      # @return [AtWork] the same, known to be sound, or shown as faulty: all that lists, books, diary and papers ask
      #   of it can be made. One that fails harms nobody else, and the log has what was wrong.
      #
      #   work.sound.id # => 1
      def sound = @sound ||= if once(:sound) { sound? ? :sound : :faulty } == :sound
                    self
                  else
                    faulty
                  end

      # @return [Reckoning::Fields] what is asked of it
      #
      #   work.fields.stations # => ["measure", "heading", "cloth"]
      def fields = SpecFields.declared(record.spec)

      # @return [Array<String>] the stations that it has, in the order of the work
      #
      #   work.stations # => ["measure", "heading", "cloth", "cutting", "making", "hanging", "account"]
      def stations = @stations ||= Stations.of(self)

      # @return [Array<String>] those of them at which fields are filled in
      #
      #   work.filled_in # => ["measure", "heading", "cloth"]
      def filled_in = stations & fields.stations

      # @param station [String] where fields are filled in
      # @return [Boolean] whether anything is wanting there, or at one before it
      #
      #   work.wanting?("measure") # => false
      def wanting?(station)
        so_far = filled_in[0..filled_in.index(station)]
        problems.any? { |problem| so_far.include?(station_of(problem)) }
      end

      # @param problem [Reckoning::Problem]
      # @return [String] the station at which it can be mended; the last at which anything is filled in where nobody
      #   knows
      #
      #   work.station_of(Problem.new(at: "/making/hem", code: :missing, data: {})) # => "cloth"
      def station_of(problem) = fields.station_of(problem.at) || filled_in.last

      # @param station [String]
      # @return [Symbol] :done, :open, :warned or :stopped
      #
      #   work.station_state("measure") # => :done
      def station_state(station) = once(:state, station) { Stations.reckon_state(self, station) }

      # @return [Integer] how many stations are behind, one after the other
      #
      #   work.behind # => 3
      def behind = stations.take_while { |station| %i[done warned].include?(station_state(station)) }.size

      # @param open [Array<String>] the stations that whoever goes on with it may go to
      # @return [String] where work goes on
      #
      #   work.following # => "cutting"
      #   work.following(%w[measure heading]) # => "heading"
      def following(open = stations) = (stations[..behind] & open).last || stations.first

      private

      def sound?
        [checks, steps, judged, said_of_steps(nil), asked_for] if reckoning
        true
      rescue => error
        Faults.tell("work #{id} can't be shown", error)
        false
      end
    end
  end
end
