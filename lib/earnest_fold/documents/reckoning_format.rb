# frozen_string_literal: true

module EarnestFold
  module Documents
    # The reckoning out: a job reckoned as plain values for JSON. Lengths in millimetres to 0.001, ratios to
    # 0.0001, masses to
    # 0.001 kg; rounded here and nowhere before.
    class ReckoningFormat
      # @param reckoning [Reckoning::JobReckoning]
      def initialize(reckoning)
        @reckoning = reckoning
        @unit = reckoning.job.unit
      end

      # @return [Hash]
      #
      #   Documents::ReckoningFormat.new(job.reckon).to_h["version"] # => 1
      def to_h
        {"format" => "earnest-fold/reckoning", "version" => 1,
         "treatments" => @reckoning.treatments.to_h { |made| [made.id, treatment(made)] },
         "cloths" => @reckoning.cloths.to_h { |made| [made.cloth.id, cloth(made)] },
         "alterations" => @reckoning.job.alterations.to_h { |named| [named.id, alteration(named.alteration)] },
         "small_parts" => @reckoning.job.small_parts.to_h { |named| [named.id, small_part(named.part)] }}
      end

      private

      def treatment(made)
        {
          "finished_drop" => made.finished_drop,
          "cut_drop" => made.cut_drop,
          "cut_length" => made.cut_length,
          "widths_total" => made.widths_total,
          "mass" => Plain.mass(made.mass),
          "curtains" => made.curtains.map { |curtain| curtain(curtain, made.treatment.heading) },
          "lengths_along" => made.lengths_along,
          "lining" => lining(made.lining),
          "interlining" => interlining(made.interlining)
        }.compact
          .merge(
            "mass" => Plain.mass(made.mass),
            "checks" => checks(made.checks),
            "working" => working(made.working),
            "sundries" => Reckoning::Sundries.of(made)
          )
          .transform_values { |value| Plain.value(value) }
      end

      def curtain(made, heading)
        {
          "hand" => made.hand,
          "finished_width" => made.finished_width,
          "flat_needed" => made.flat_needed,
          "widths" => Plain.widths(made.widths),
          "flat_width" => made.flat_width,
          "cut_width" => made.cut_width,
          "fullness" => Plain.ratio(made.fullness),
          "weights" => made.weights,
          "heading" => made.heading.transform_keys(&:to_s).merge(layout(made, heading))
        }
      end

      def layout(made, heading)
        return {} unless heading.respond_to?(:seam_marks)

        {
          "layout" =>
            heading
              .marks(made.task, made.heading)
              .map { |mark| {"kind" => mark.kind.to_s, "from" => mark.at, "to" => mark.to} },
          "seams" =>
            heading.seam_marks(made.task, made.heading).map { |mark| {"at" => mark.at, "in" => mark.kind.to_s} }
        }
      end

      def lining(made)
        made &&
          {
            "finished_drop" => made.drop_cut.finished,
            "cut_drop" => made.drop_cut.cut_drop,
            "widths" => made.counts.map { |count| Plain.widths(count) },
            "widths_total" => made.widths_total,
            "lengths_along" => made.lengths_along
          }.compact
      end

      def interlining(made)
        made &&
          {
            "cut_drop" => made.drop_cut.cut_drop,
            "widths" => made.counts.map { |count| Plain.widths(count) },
            "widths_total" => made.widths_total
          }
      end

      def cloth(made)
        plan = made.plan && {"uncut" => made.plan.uncut_count, "length_used" => made.plan.length_used}
        Plain.value(
          {
            "length_needed" => made.length_needed,
            "length_to_order" => made.length_to_order,
            "plan" => plan
          }.compact.merge("checks" => checks(made.checks))
        )
      end

      def alteration(made)
        Plain.value(
          made.figures.transform_keys(&:to_s).merge("checks" => checks(made.checks), "working" => working(made.working))
        )
      end

      def small_part(part) = Plain.value(part.figures.transform_keys(&:to_s).merge("working" => working(part.working)))

      def checks(list)
        list.map { |check| {"code" => check.code, "level" => check.level.to_s, "message" => Words.check(check, @unit)} }
      end

      def working(lines)
        lines.map do |line|
          {
            "label" => Words.label(line, @unit),
            "expression" => Words.expression(line.expression, @unit),
            "value" => Words.figure(line.value, @unit)
          }
        end
      end
    end
  end
end
