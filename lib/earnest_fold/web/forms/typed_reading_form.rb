# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a meter typed, as a keyboard would: a figure, in the unit that was said where it names none of its own.
      class TypedReadingForm
        R = Reckoning
        LENGTH = R::Declare.length(least: :over_zero).first
        # @return [Symbol, nil] why it can't be taken
        attr_reader :problem
        # @return [String] as it was typed, and the unit that was chosen
        attr_reader :typed, :unit

        # @param params [Hash]
        # @param problem [Symbol, nil] why it can't be taken, beyond what was typed
        def initialize(params, problem: nil)
          @typed, @unit = %w[typed typed_in].map { |name| params[name].is_a?(String) ? params[name].strip : "" }
          @problem = problem || doubt
        end

        def valid? = problem.nil?

        # @return [String] with its unit
        def length = R::LengthReader.unit_named?(typed) ? typed : "#{typed} #{unit}"

        private

        def doubt
          return :empty if typed.empty?
          return :no_unit unless R::LengthReader.unit_named?(typed) || R::LengthReader::SIZES.key?(unit)

          problems = R::Problems.new
          LENGTH.read(length, R::Units::CM, problems)
          problems.to_a.first&.code
        end
      end
    end
  end
end
