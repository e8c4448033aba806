# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One step at the bench, to be read from a metre and a half away.
      class Bench < Making
        # Steps that the heading's marks show better than the flat curtain.
        HEADING = %w[set_out_heading put_on_heading form_heading put_in_hooks].freeze
        # @param asked [Array(String, String), nil] the step's name: code and curtain
        # @param form [Forms::MeasureForm, nil] with measures that could not be read
        # @param clock [Array(Integer, Store::Bench::Entry), nil] a clock that runs elsewhere and stood in the way of
        #   this one
        def initialize(sheet, entry, asked: nil, form: nil, clock: nil, **shown)
          super(sheet, entry, **shown)
          @asked, @measure, @clock = asked, form, clock
        end

        # @return [String, nil] where another clock runs
        def other_clock =
          @clock &&
            Words.say(
              "making.other_clock",
              step: Words.say("work_steps.#{@clock.last.step}.title"),
              at: WallClock.new(house.diary.zone).time(@clock.last.at)
            )

        # @return [Array<Field>] one for each place at which the step asks for a measure
        def measures
          places = step.check.places.empty? ? [""] : step.check.places
          places.map do |place|
            problem = @measure&.problems&.[](place)
            Field.of(
              path: Forms::MeasureForm.field(place),
              label: place.empty? ? Words.say("making.measured") : Words.say("edges.#{place}"),
              text: @measure&.typed&.[](place).to_s,
              problem: problem && Words.field_problem(problem, unit)
            )
          end
        end

        # @return [Reckoning::MakingUp::Step, nil] the one asked for, else the first that isn't done
        def step = @step ||= steps.find { |one| one.name == @asked } || steps.find { |one| !done?(one) } || steps.last

        # @return [Reckoning::MakingUp::Step, nil]
        def beside(by) = (place = steps.index(step) + by).negative? ? nil : steps[place]

        # @return [Array<Array(String, Object)>] the figures beside the main one
        def others = step.figures.drop(1).map { |name, value| [figure_name(name), value] }

        # @return [Boolean] whether the main figure is a length, rather than a count
        def main_measured? = step.main.is_a?(R::Length)

        def main_label = figure_name(step.figures.keys.first)

        def here = bench_path(step)

        # @param name [Symbol] of a figure of a step, or of a line on the cloth
        def figure_name(name) =
          Words.say?("work_figures.#{name}") ? Words.say("work_figures.#{name}") : Words.alter_line(name)

        # @return [Work::BenchLog::Spent]
        def spent = @log.spent(step)

        # @return [Array<Work::BenchLog::Reading>] the last at each place
        def last_readings = readings(step).group_by(&:place).values.map(&:last)

        # @return [Array<Work::BenchLog::Reading>] those that others stand beside by now
        def earlier = readings(step) - last_readings

        # @return [String, nil] what the last measures mean: the one farthest off decides
        def verdict
          check, worst = step.check, last_readings.max_by { |reading| (reading.length - step.check.planned).abs }
          return unless check && worst
          return Words.say("making.within", tolerance: check.tolerance, planned: check.planned, unit: unit) if right?

          apart = (worst.length - check.planned).abs
          outside = Words.say("making.outside", apart: apart, tolerance: check.tolerance, unit: unit)
          "#{outside}. #{Words.say("making.what_then.#{what_then}")}"
        end

        def right? = last_readings.all? { |reading| step.check.fits?(reading.length) }

        # @return [String, nil] which pleat hides each seam, from the leading edge
        def seams_hidden
          curtain = reckoning.curtains.find { |made| made.hand == step.curtain }
          return unless curtain && step.code == "form_heading" && step.figures[:pleats] && curtain.task.seams.any?

          pleats =
            reckoning.treatment.heading.marks(curtain.task, curtain.heading).select { |mark| mark.kind == :pleat }
          curtain
            .task
            .seams
            .map { |seam| seam_words(seam, pleats.index { |mark| seam.between?(mark.at, mark.to) }) }
            .join(" ")
        end

        # @return [String, nil] SVG
        def drawing
          curtain = reckoning.curtains.find { |made| made.hand == step.curtain } || reckoning.curtains.first
          if HEADING.include?(step.code) && reckoning.treatment.heading.marks(curtain.task, curtain.heading).any?
            return Drawings::HeadingMarks.new(reckoning.treatment.heading, curtain, unit, colour: colour).to_s
          end

          if Drawings::OnTable.draws?(step.code)
            once(:on_table, step.name) do
              Drawings::OnTable.new(reckoning, curtain, step, unit, table: house.table_length, colour: colour).to_s
            end
          end
        end

        # @return [String, nil] where the table ends under a curtain that is longer, from the leading edge
        def sections
          curtain = reckoning.curtains.find { |made| made.hand == step.curtain } || reckoning.curtains.first
          return if curtain.flat_width <= house.table_length || step.code == "lay_out_cuts"

          ends =
            Array.new((curtain.flat_width / house.table_length).ceil) do |index|
              [house.table_length * (index + 1), curtain.flat_width].min
            end
          Words.say(
            "making.sections",
            sections: ends
              .each_with_index
              .map { |to, index| Words.say("making.section", number: index + 1, to: to, unit: unit) }
              .join(", ")
          )
        end

        # The lines of an alteration all mean the same where they are off.
        def what_then = Words.say?("making.what_then.#{step.check.name}") ? step.check.name : "line"

        def seam_words(seam, pleat) =
          if pleat
            Words.say("making.seam_hidden", at: seam, number: pleat + 1, unit: unit)
          else
            Words.say("making.seam_shows", at: seam, unit: unit)
          end

        def page_title = "#{title(step)}, #{entry.title}"
      end
    end
  end
end
