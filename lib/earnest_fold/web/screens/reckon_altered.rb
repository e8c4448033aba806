# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Reckon for somebody's own curtain: what is asked of it, and what is done to it, drawn and in figures.
      class ReckonAltered < Alter
        include AtReckon

        STATIONS = %w[measure alter].freeze
        # Whose it is, and how it lies, is asked at the window.
        UNASKED = %w[name notes length_from length_to].freeze

        def view = :_reckon_altered

        # What is asked differs by what is done.
        def wanted_drawing = nil

        # There is no other heading for what is there.
        def beside = nil

        # @return [Array<Field>] its lengths, and what is done
        def asked = all.reject { |one| flag?(one) }

        # @return [Array<Field>] how its cloth is
        def more = all.select { |one| flag?(one) }

        def shown_fields = all

        private

        def all
          declared = entry.fields
          @all ||= STATIONS.flat_map { |station| asked_of(declared.of_station(station)) }
            .reject { |one| UNASKED.include?(one.path) }
        end

        def flag?(shown) = Work::SpecFields.kind(shown.path, spec).is_a?(Reckoning::FieldKinds::FlagKind)
      end
    end
  end
end
