# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One step of an alteration at the bench.
      class AlterBench < Bench
        include Altering

        # Steps at which the lines on the cloth are what is looked at.
        DRAWN = %w[measure_again mark_lines compare_lines cut_off sew_top_tuck cut_top_strip
          into_channel sew_tuck cut_strip press_seam_down add_to_foot press_new_hem
          compare_edges check_length].freeze

        # What stops the alteration stops its making.
        def checks = entry.checks

        def compared = []

        def seams_hidden = nil

        def sections = nil

        # @return [Array<String>] SVG: what is folded, in section
        def at_work
          @at_work ||= [
            (fold_section if Drawings::FoldSection.draws?(step)),
            (Drawings::InPockets.new(step).to_s if Drawings::InPockets.draws?(step))
          ].compact
        end

        # @return [String, nil] SVG
        def drawing
          return headed if made.alteration.headed && at_heading? && made.alteration.marks.any?

          altered
        end

        private

        def at_heading? = step.operations.any? { |one| one.edge == :heading }

        def headed =
          once(:headed) do
            Drawings::HeadingMarks.new(made.alteration.heading, made.alteration.headed, unit, colour: colour).to_s
          end

        def altered = DRAWN.include?(step.code) ? once(:altered) { Drawings::AlteredCurtain.new(made, unit).to_s } : nil
      end
    end
  end
end
