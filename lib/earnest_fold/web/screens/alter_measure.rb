# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Measure, for somebody's own curtain: how long it is, how long it is wanted, and from where to where.
      class AlterMeasure < Desk
        include Altering

        STATION = "measure"
        CURTAIN = %w[curtains widths width band motif].freeze
        FLAGS = %w[printed lined].freeze
        WORDS = %w[length_from length_to].freeze

        # What is measured, and in which order it is shown.
        MEASURED = %w[
          existing_length wanted_length stand_up cloth_width cloth_length panel_width finished_width
        ].freeze
        LENGTHS = %w[existing_length cloth_length cloth_width panel_width finished_width wanted_length].freeze

        # @param notes [Array<Store::CameIn::Note>]
        def initialize(sheet, entry, notes: [], **shown)
          super(sheet, entry, **shown)
          @notes = notes
        end

        def self.paths(spec)
          lengths = MEASURED & R::Alterations.fetch(spec["kind"]).fields.names.map(&:to_s)
          %w[kind name notes] + lengths + CURTAIN + FLAGS + WORDS
        end

        def view = :_alter_measure

        # @return [Array<Field>] the lengths that this alteration starts from, the wanted one last
        def lengths = (self.class.paths(spec) & LENGTHS).map { |path| field(path) }

        def curtain_fields =
          CURTAIN.map { |path| field(path) } +
            FLAGS.map do |path|
              field(path, options: {"no" => Words.say("choices.no"), "yes" => Words.say("choices.yes")})
            end

        def points = WORDS.map { |path| field(path) }

        # @return [String, nil] the wanted length read back in both units, with both ends
        def read_back
          return unless made

          other = (unit.name == "in") ? R::Units::CM : house.unit("in")
          ends = spec.values_at(*WORDS).map { |words| words.to_s.empty? ? Words.say("alter.not_said") : words }
          Words.say(
            "alter.read_back",
            from: ends.first,
            to: ends.last,
            length: Words.with_unit(made.alteration.wanted_length, unit),
            other: Words.with_unit(made.alteration.wanted_length, other)
          )
        end

        # @return [String, nil] SVG
        def drawing = made && once(:altered) { Drawings::AlteredCurtain.new(made, unit).to_s }
      end
    end
  end
end
