# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Measure, for somebody's own curtain: how long it is, how long it is wanted, and from where to where.
      class AlterMeasure < Desk
        include Altering

        STATION = "measure"
        CURTAIN = %w[curtains widths width band motif printed coated rubber_backed frays creeps light
          lined].freeze
        WORDS = %w[length_from length_to].freeze
        WANTED = "wanted_length"
        # What is asked of in several figures.
        RECORDS = %w[existing_hem].freeze
        # What stands after the lengths that are measured.
        AFTER = [WANTED, "stand_up"].freeze

        def self.asks = %i[notes]

        # @param notes [Array<Store::CameIn::Note>]
        def initialize(sheet, entry, notes: [], **shown)
          super(sheet, entry, **shown)
          @notes = notes
        end

        def view = :_alter_measure

        # @return [Array<Field>] the lengths that this alteration starts from, the wanted one last
        def lengths
          (own_paths - RECORDS - AFTER + (own_paths & [WANTED])).map { |path| field(path) }
        end

        # @return [Array<Field>] the hem that came, where something hangs on it
        def hem_fields = asked_of(own.select { |one| RECORDS.include?(one.key) })

        def curtain_fields = (CURTAIN - own_paths).map { |path| field(path) }

        # @return [Boolean] whether a length is wanted, so that from where to where is asked
        def length_asked? = own_paths.include?(WANTED)

        def points = WORDS.map { |path| field(path) }

        # @return [String, nil] the wanted length read back in both units, with both ends
        def read_back
          return unless length_asked?

          length = made ? made.alteration.wanted_length : wanted_so_far
          length && Words.length_wanted(length, spec.values_at(*WORDS).map(&:to_s), unit, sheet.other_unit)
        end

        # @return [Array<String>] what comes out where, in both units
        def comes_out
          return [] unless made&.alteration.respond_to?(:taken_out_foot) && made.alteration.contradictions.empty?

          outs = {comes_out_top: made.alteration.rise, comes_out: made.alteration.taken_out_foot}
          outs.select { |_, out| out.positive? }.map do |key, out|
            other = sheet.other_unit
            Words.say("alter.#{key}", out: Words.with_unit(out, unit), other: Words.with_unit(out, other))
          end
        end

        # @return [String, nil] SVG
        def drawing = made && once(:altered) { Drawings::AlteredCurtain.new(made, unit).to_s }

        private

        def own = R::Alterations.fetch(entry.altered_as).fields.of_station(STATION)

        def own_paths = own.map(&:key)

        # As it was typed, while something else is still wanting.
        def wanted_so_far = spec[WANTED] && R::LengthReader.read(spec[WANTED], unit)
      end
    end
  end
end
