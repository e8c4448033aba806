# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One curtain reckoned. `widths` is a Rational that may end in a half; `heading` the heading's own figures.
    class Curtain < Value.define(:span, :flat_needed, :widths, :flat_width, :cut_width, :fullness, :heading, :task)
      # @param treatment [Treatment]
      # @param span [Span]
      # @param needed [Length] the flat width that the heading asks for there
      # @param count [Rational] the widths for it
      # @return [Curtain]
      #
      #   Curtain.of(treatment, treatment.spans.first, Length.cm(220), 2r).flat_width # => 2630 mm
      def self.of(treatment, span, needed, count)
        heading, rule = treatment.heading, treatment.width_rule
        cut_for = flat(treatment, rule, needed, count)
        flat = cut_for - wrapped_more(treatment)
        task = HeadingTask.new(
          span: span,
          flat: flat,
          widths: count,
          seams: treatment.sideways? ? [] : rule.seams(count).select { |seam| seam < flat }
        )
        new(
          span: span,
          flat_needed: needed,
          widths: count,
          flat_width: flat,
          cut_width: cut_for + treatment.making.side.taken * 2,
          fullness: heading.made_fullness(task),
          heading: heading.figures(task, treatment.support),
          task: task
        )
      end

      # @param treatment [Treatment]
      # @return [Array<Curtain>] in the order of its spans; those that measure the same are reckoned once
      #
      #   Curtain.all(treatment).map(&:widths) # => [(2/1), (2/1)]
      def self.all(treatment)
        places = treatment.spans.zip(treatment.flat_needed, treatment.widths_needed)
        places.each_with_object([]) do |(span, needed, count), made|
          same = made.find { |one| one.span.alike?(span) }
          made << (same ? same.over(span) : of(treatment, span, needed, count))
        end
      end

      # A curtain before its cloth is chosen: exactly the flat width that the fullness asks for.
      # @return [Curtain] of no widths
      #
      #   Curtain.asked(treatment, treatment.spans.first).hand # => "left"
      def self.asked(treatment, span)
        heading = treatment.heading
        needed = heading.needed(span)
        task = HeadingTask.new(span: span, flat: needed, widths: 0r, seams: [])
        new(
          span: span,
          flat_needed: needed,
          widths: 0r,
          flat_width: needed,
          cut_width: needed + treatment.making.side.taken * 2,
          fullness: heading.made_fullness(task),
          heading: heading.figures(task, treatment.support),
          task: task
        )
      end

      # A panel that came made, with a heading.
      # @param task [HeadingTask]
      # @param heading [Heading]
      # @param figures [Hash] as the heading gives them
      # @return [Curtain]
      #
      #   Curtain.standing(curtain.task, treatment.heading, curtain.heading).heading == curtain.heading # => true
      def self.standing(task, heading, figures)
        new(
          span: task.span,
          flat_needed: task.flat,
          widths: 1r,
          flat_width: task.flat,
          cut_width: task.flat,
          fullness: heading.made_fullness(task),
          heading: figures,
          task: task
        )
      end

      # @return [Rational]
      #
      #   Curtain.count(treatment, Length.cm(200)) # => (2/1)
      def self.count(treatment, needed)
        making = treatment.making
        return 1r if treatment.sideways?

        making.widths || treatment.width_rule.least_for(accepted(treatment, needed), making.step)
      end

      # @return [Array<Rational>] what {count} rounds up; none where nothing is rounded
      #
      #   Curtain.amounts(treatment, Length.cm(200)) # => [(8/15)]
      def self.amounts(treatment, needed)
        making = treatment.making
        return [] if treatment.sideways? || making.widths

        treatment.width_rule.amounts(accepted(treatment, needed), making.step)
      end

      # What may be a little short is, but for what a tape dictates.
      def self.accepted(treatment, needed) =
        treatment.heading.dictates? ? needed : treatment.making.accepted(needed)
      private_class_method :accepted

      # What a tape dictates is kept to; other curtains use the full widths, or are trimmed to the fullness asked.
      # @return [Length]
      #
      #   Curtain.flat(treatment, LiningCut.rule(lined), Length.cm(200), 2r) # => 2690 mm
      def self.flat(treatment, rule, needed, count)
        return needed if treatment.sideways? || treatment.heading.dictates?

        made = rule.flat(count)
        (treatment.making.trim == "to_fullness") ? [needed, made].min : made
      end

      # How much narrower the measured wrap makes a bagged curtain than the one it was cut for: the cloth is cut.
      # @return [Length]
      #
      #   Curtain.wrapped_more(treatment) # => 0 mm
      def self.wrapped_more(treatment)
        measured = treatment.wrap_measured
        return Length::ZERO unless measured && treatment.bagged? && !treatment.heading.dictates?

        (measured - treatment.making.side.depth) * 2
      end

      # @param other [Span] that measures the same
      # @return [Curtain] the same once more, over there
      #
      #   curtain.over(treatment.spans.last).hand # => "right"
      def over(other) = with(span: other, task: task.with(span: other))

      # @param treatment [Treatment]
      # @return [Length] the flat width that the cloth is cut for, whatever a bag's wrap came to
      #
      #   curtain.flat_cut_for(treatment) # => 2630 mm
      def flat_cut_for(treatment) = cut_width - treatment.making.side.taken * 2

      # @return [String] at which side it hangs
      #
      #   curtain.hand # => "left"
      def hand = span.hand

      # @return [Symbol] at which side its leading edge is
      #
      #   curtain.leads # => :right
      def leads = span.leads

      # @return [Length] as it hangs
      #
      #   curtain.finished_width # => 1000 mm
      def finished_width = span.finished_width

      # @return [Integer]
      #
      #   curtain.seams # => 1
      def seams = widths.ceil - 1

      # @return [Integer] one in each bottom corner and at the foot of each seam
      #
      #   curtain.weights # => 3
      def weights = 2 + seams
    end
  end
end
