# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What was measured at a step: one length, or one at each edge; an edge left empty says nothing.
      class MeasureForm
        R = Reckoning
        # @return [Hash{String => String}] what was typed, by place ("" where there is but one)
        attr_reader :typed
        # @return [Hash{String => Reckoning::Problem}] by place
        attr_reader :problems

        # @param check [Reckoning::MakingUp::Measured, nil]
        # @param params [Hash]
        # @param unit [Reckoning::Unit]
        def initialize(check, params, unit)
          @unit = unit
          places = check&.places.to_a.then { |all| all.empty? ? [""] : all }
          @typed = places.to_h { |place| [place, params[MeasureForm.field(place)].to_s.strip] }
          said = @typed.reject { |_, text| text.empty? }
          said = @typed.first(1).to_h if said.empty?
          @problems =
            said
              .reject { |_, text| length?(text) }
              .to_h { |place, _| [place, R::Problem.new(at: "value", code: :not_a_length, data: {})] }
          @said = said
        end

        # @return [String] the field's name
        def self.field(place) = place.empty? ? "value" : "value-#{place}"

        def valid? = problems.empty?

        # @return [Hash{String => String}] as it is kept, with its unit
        def values =
          @said.transform_values { |text| R::LengthReader.unit_named?(text) ? text : "#{text} #{@unit.name}" }

        private

        def length?(text) = R::LengthReader.read(text, @unit)&.then { |length| !length.negative? }
      end
    end
  end
end
