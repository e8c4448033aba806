# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One step at the bench, to be read from a metre and a half away.
      class Bench < Making
        # What is measured of one curtain, or of all: its tick, its name where there are several, a field for each
        # place, and what was measured there already.
        Measuring = R::Value.define(:tick, :title, :check, :fields, :readings) do
          # @return [Array<Work::BenchLog::Reading>] the last at each place
          def last = readings.group_by(&:place).values.map(&:last)

          # @return [Array<Work::BenchLog::Reading>] those that others stand beside by now
          def earlier = readings - last

          def right? = last.all? { |reading| check.fits?(reading.length) }
        end

        # Where one length is typed.
        MeasureField = R::Value.define(:id, :path, :hand, :label, :text, :problem) do
          def problem_id = "#{id}-problem"
        end

        # @param asked [Array(String, String), nil] the step's name: its code, and the curtain that is meant
        # @param form [Forms::MeasureForm, nil] with measures that could not be read
        # @param clock [Array(Integer, Store::Bench::Entry), nil] a clock that runs elsewhere and stood in the way of
        #   this one
        def initialize(sheet, entry, asked: nil, form: nil, clock: nil, **shown)
          super(sheet, entry, **shown)
          @asked, @measure, @clock = asked, form, clock
        end

        def page_title = "#{title(step)}, #{entry.title}"

        # @return [String, nil] where another clock runs
        def other_clock =
          @clock &&
            Words.say(
              "making.other_clock",
              step: Words.say("work_steps.#{@clock.last.step}.title"),
              at: WallClock.new(house.diary.zone).time(@clock.last.at)
            )

        # @return [Array<Measuring>] of each curtain at which the step asks for a measure
        def measuring =
          step.parts.select(&:check).map do |part|
            tick = part.curtain.to_s
            Measuring.new(
              tick: tick,
              title: (step.parts.size > 1) ? Words.tick(tick) : nil,
              check: part.check,
              fields: places(part).map { |place| measure_field(tick, place) },
              readings: readings(step).select { |reading| reading.curtain == tick }
            )
          end

        # @return [Reckoning::MakingUp::Step, nil] the one asked for, else the first that isn't done
        def step =
          @step ||= steps.find { |one| one.code == @asked&.first } || steps.find { |one| !done?(one) } || steps.last

        # @return [Reckoning::MakingUp::Step, nil]
        def beside(by) = (place = steps.index(step) + by).negative? ? nil : steps[place]

        # @return [Array<Array(String, Object)>] the figures beside the main one
        def others =
          step.figures.drop(1).reject { |_, value| value.is_a?(Array) }.map { |name, value| [figure_name(name), value] }

        # @return [Boolean] whether the main figure is a length, rather than a count
        def main_measured? = step.main.is_a?(R::Length)

        def main_label = figure_name(step.figures.keys.first)

        # @return [String, nil] the tick that is next
        def next_tick = step.ticks.find { |tick| !ticked?(step, tick) }

        def here = bench_path(step)

        # @param name [Symbol] of a figure of a step, or of a line on the cloth
        def figure_name(name)
          key = %W[work_figures.#{name} figures.#{name}].find { |one| Words.say?(one) }
          key ? Words.say(key) : Words.alter_line(name)
        end

        # @return [Work::BenchLog::Spent]
        def spent = @log.spent(step)

        # @param measured [Measuring]
        # @return [String, nil] what the last measures mean: the one farthest off decides
        def verdict(measured)
          check, worst = measured.check, measured.last.max_by { |one| (one.length - measured.check.planned).abs }
          return unless worst
          if measured.right?
            return Words.say("making.within", tolerance: check.tolerance, planned: check.planned, unit: unit)
          end

          apart = (worst.length - check.planned).abs
          outside = Words.say("making.outside", apart: apart, tolerance: check.tolerance, unit: unit)
          "#{outside}. #{Words.say("making.what_then.#{what_then(check)}")}"
        end

        # @return [String, nil] which pleat hides each seam of the first curtain, from the leading edge
        def seams_hidden
          return unless step.deed?(:mark) && step.figures[:pleats] && curtain.task.seams.any?

          pleats = heading.marks(curtain.task, curtain.heading).select { |mark| mark.kind == :pleat }
          curtain
            .task
            .seams
            .map { |seam| seam_words(seam, pleats.index { |mark| seam.between?(mark.at, mark.to) }) }
            .join(" ")
        end

        # @return [String, nil] SVG: the heading's marks where it is worked on, else the curtain as it lies
        def drawing
          return if at_work.any? && step.operations.any? { |one| one.layers.include?(:tape) }
          if step.operations.any? { |one| one.edge == :heading } && heading.marks(curtain.task, curtain.heading).any?
            return Drawings::HeadingMarks.new(heading, curtain, unit, colour: colour).to_s
          end

          once(:on_table, step.code) do
            Drawings::OnTable.new(reckoning, curtain, step, unit, table: house.table_length, colour: colour).to_s
          end
        end

        # @return [Array<String>] SVG: the operation itself, as the cloth lies: what is folded in section, a corner, a
        #   tape's ends, hooks in their pockets, a wide curtain on its way over the table
        def at_work
          @at_work ||= [
            (fold_section if Drawings::FoldSection.draws?(step)),
            (Drawings::Mitre.new(step, unit, colour: colour).to_s if Drawings::Mitre.draws?(step)),
            (tape_ends if Drawings::TapeEnds.draws?(step, heading)),
            (Drawings::InPockets.new(step).to_s if Drawings::InPockets.draws?(step)),
            (Drawings::OverTable.new(curtain, house.table_length, unit, colour: colour).to_s if over_table?)
          ].compact
        end

        # @return [String, nil] where the table ends under a curtain that is longer, from the leading edge: at a seam
        #   where there is one, as what is coated may not be pinned between
        def sections
          return unless over_table?

          ends = R::MakingUp::Sections.of(curtain, house.table_length)
          Words.say(
            "making.sections",
            sections: ends
              .each_with_index
              .map { |to, index| Words.say("making.section", number: index + 1, to: to, unit: unit) }
              .join(", ")
          )
        end

        private

        def fold_section =
          Drawings::FoldSection.new(step, unit, lining_off: step.deed?(:pin) ? lining_in_fold : nil).to_s

        def tape_ends =
          Drawings::TapeEnds.new(
            step,
            heading,
            reckoning.treatment.making.side.depth,
            unit,
            colour: colour,
            depth: sheet.tapes[reckoning.treatment.tape]&.depth
          ).to_s

        # @return [Boolean] whether the curtain is moved over the table, section by section
        def over_table? =
          curtain.flat_width > house.table_length && !step.deed?(:cut) && step.operations.any? { |one|
            one.edge != :cut
          }

        # How far a lining that lies in the face's hem stays off its fold.
        def lining_in_fold
          return unless !entry.altered_as && reckoning.treatment.order_of_work.lining_in_hem?

          reckoning.treatment.lining.lift if step.operations.any? { |one| one.layers == %i[face lining] }
        end

        def curtain = reckoning.curtains.first

        def heading = reckoning.treatment.heading

        def places(part) = part.check.places.empty? ? [""] : part.check.places

        def measure_field(tick, place)
          mine = @measure if @asked&.last.to_s == tick
          problem = mine&.problems&.[](place)
          MeasureField.new(
            path: Forms::MeasureForm.field(place),
            id: ["measured", tick.tr(" ", "-"), place].reject(&:empty?).join("-"),
            hand: (step.parts.size > 1) ? Words.tick(tick) : nil,
            label: place.empty? ? Words.say("making.measured") : Words.say("edges.#{place}"),
            text: mine&.typed&.[](place).to_s,
            problem: problem && Words.field_problem(problem, unit)
          )
        end

        # The lines of an alteration all mean the same where they are off.
        def what_then(check) = Words.say?("making.what_then.#{check.name}") ? check.name : "line"

        def seam_words(seam, pleat) =
          if pleat
            Words.say("making.seam_hidden", at: seam, number: pleat + 1, unit: unit)
          else
            Words.say("making.seam_shows", at: seam, unit: unit)
          end
      end
    end
  end
end
