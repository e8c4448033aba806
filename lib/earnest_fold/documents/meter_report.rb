# frozen_string_literal: true

require "json"

module EarnestFold
  module Documents
    # What a distance meter sends: {"press": "7f3a", "length": "2143 mm"}. The press is the meter's own number for it;
    # the length says its unit. Its schema is published (schema/meter-reading.v1.json).
    class MeterReport < Reckoning::Value.define(:press, :length)
      R = Reckoning
      FIELDS = R::Fields.new(
        press: R::Declare.text(R::Declare::REQUIRED, least: 1, most: 64),
        length: R::Declare.text(R::Declare::REQUIRED, least: 1, most: R::LengthReader::LONGEST_TEXT)
      )
      # So many bytes are looked at.
      LARGEST = 2048
      LENGTH = R::Declare.length(least: :over_zero).first

      # @param text [String] as it came
      # @return [MeterReport] its length as it was sent
      # @raise [Reckoning::Invalid]
      #
      #   Documents::MeterReport.read('{"press": "1", "length": "2143 mm"}').length # => "2143 mm"
      def self.read(text)
        problems = R::Problems.new
        values = FIELDS.read(JobFormat.parse(text), R::Units::MM, problems)
        measured(values[:length], problems.within("length")) if values
        problems.raise_any
        new(**values)
      end

      # @param words [String]
      # @return [String] what the meter is answered
      #
      #   Documents::MeterReport.answer("taken") # => "{\"said\":\"taken\"}"
      def self.answer(words) = JSON.generate("said" => words)

      # @return [Hash] JSON Schema
      #
      #   Documents::MeterReport.schema["required"] # => ["press", "length"]
      def self.schema = {
        "$schema" => "https://json-schema.org/draft/2020-12/schema",
        "title" => "What a distance meter sends, one reading a request",
        **Plain.value(R::FieldKinds.record_schema(FIELDS))
      }

      # A figure alone could be anything: nobody guesses in what it was read.
      # @api private
      #
      #   Documents::MeterReport.measured("214 cm", Problems.new) # => 2140 mm
      def self.measured(text, problems)
        return problems.add(:no_unit) unless R::LengthReader.unit_named?(text)

        LENGTH.read(text, R::Units::CM, problems)
      end
    end
  end
end
