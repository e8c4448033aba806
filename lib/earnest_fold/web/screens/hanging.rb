# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Hanging station: what to carry, how high the support is, which edges lead, and what concerns people.
      class Hanging < Desk
        STATION = "hanging"
        # What the log is asked for: as a step is.
        Hung = R::Value.define(:code, :curtain)

        def self.asks = %i[log]

        # @param form [Forms::MeasureForm, nil] measures that could not be read, and `of` which curtain
        def initialize(sheet, entry, log: Work::BenchLog.new([]), measure: nil, of: nil, **shown)
          super(sheet, entry, log: log, **shown)
          @measure, @measured_of = measure, of
        end

        # @return [Array<String>] what is done, one after the other: the support, each layer from the glass to the
        #   room and each curtain of it from its return edge, the dressing, the last checks
        def order
          hung =
            sheet
              .layers(entry)
              .select(&:reckoning)
              .flat_map { |layer| layer.reckoning.curtains.map { |curtain| hang(layer, curtain) } }
          [first_check, *hung, *dressing, Words.say(drawn? ? "hanging.last" : "hanging.last_fixed")]
        end

        # @return [Boolean] whether it is ever closed: a dress pair isn't
        def drawn? = reckoning.treatment.opening.kind != "dress_pair"

        def first_check
          treatment = reckoning.treatment
          Words.say(
            (treatment.supports.size > 1) ? "hanging.first_of_two" : "hanging.first",
            kind: Words.say("supports.#{treatment.support.kind}").downcase,
            length: treatment.supports.first,
            unit: unit
          )
        end

        # How far it may be off as it hangs.
        TOLERANCE = R::Length.mm(5)
        # What is measured of one curtain as it hangs: `made` as the bench has it, `last` the last at each edge.
        Check = R::Value.define(:curtain, :check, :readings, :last) do
          def fits? = last.all? { |reading| check.fits?(reading.length) }
        end

        # @return [Array<Check>] for each curtain: what clears the foot where that is known, else its drop, at both
        #   edges
        def final_checks = @final_checks ||= hands.map { |hand| final(hand) }

        # @return [Check]
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
          if reckoning
            R::Sundries
              .of(reckoning)
              .except(:chain, :tape_length, :buckram_length)
              .map { |name, count| [Words.say("sundries.#{name}"), count] }
          else
            []
          end

        # @return [Array<Array(String, String)>] each curtain with the edge that leads
        def edges =
          reckoning.curtains.map { |curtain| [Words.hand(curtain.hand), Words.say("hanging.leads_#{curtain.leads}")] }

        # @return [Array<Array(String, Reckoning::Length)>] the lengths to check when it hangs
        def lengths
          treatment = reckoning.treatment
          [
            [
              Words.say((treatment.supports.size > 1) ? "hanging.each_support" : "hanging.support"),
              treatment.supports.first
            ],
            *above_floor,
            [Words.say("hanging.height"), treatment.drop.readings.min],
            [Words.say("work_figures.finished_drop"), reckoning.finished_drop],
            *stand_up(treatment),
            *clearance,
            *reckoning.curtains.map do |curtain|
              [
                Words.say(
                  drawn? ? "hanging.width_of" : "hanging.fixed_width_of",
                  hand: Words.hand(curtain.hand).downcase
                ),
                curtain.span.finished_width
              ]
            end
          ]
        end

        # @return [Array<String>] the curtains
        def hands = reckoning ? reckoning.curtains.map(&:hand) : []

        private

        def final(hand)
          name, planned = hangs_by
          step = Hung.new(code: Store::Bench::HUNG, curtain: hand)
          readings = @log.readings(step)
          Check.new(
            curtain: hand,
            check: R::MakingUp::Measured.new(
              name: name,
              planned: planned,
              tolerance: TOLERANCE,
              places: R::MakingUp::EDGES
            ),
            readings: readings,
            last: readings.group_by(&:place).values.map(&:last)
          )
        end

        # @return [Array(Symbol, Reckoning::Length)]
        def hangs_by
          offset = reckoning.treatment.drop.offset
          offset.negative? ? [:clearance, offset.abs] : [:finished_drop, reckoning.finished_drop]
        end

        def hang(layer, curtain)
          carriers = layer.reckoning.treatment.heading.carriers(curtain.heading)
          Words.say(
            carriers ? "hanging.hang_on" : "hanging.hang",
            title: layer.title,
            hand: Words.hand(curtain.hand).downcase,
            count: carriers
          )
        end

        def dressing =
          reckoning.treatment.heading.dressed? ? [Words.say("hanging.dress", days: house.diary.setting_days)] : []

        # How the top edge stands to the point that was measured from, and to the hook: each where there is something
        # to say.
        def stand_up(treatment)
          rise = treatment.drop.stand_up
          above = if rise.zero?
            []
          else
            [[Words.say(rise.negative? ? "hanging.stand_down" : "hanging.stand_up"), rise.abs]]
          end
          above + pin_setting(treatment)
        end

        def pin_setting(treatment)
          pins = treatment.heading.rise(treatment.drop.points, treatment.support)
          (treatment.heading.bears_on == :hook && pins&.positive?) ? [[Words.say("hanging.pin_setting"), pins]] : []
        end

        # Where the support's height was measured: how high it is, and where the foot comes to hang.
        def above_floor
          height = reckoning.treatment.support.height or return []
          [
            [Words.say("hanging.above_floor"), height],
            [Words.say("hanging.foot_above"), height + reckoning.treatment.drop.stand_up - reckoning.finished_drop]
          ]
        end

        # How far it is to end above what the drop was measured to, or to lie on it.
        def clearance
          offset = reckoning.treatment.drop.offset
          if offset.zero?
            []
          else
            [[Words.say(offset.negative? ? "hanging.clears" : "hanging.lies_on"), offset.abs]]
          end
        end
      end
    end
  end
end
