# frozen_string_literal: true

require "bigdecimal"
require "json"

module EarnestFold
  module Documents
    # The job format in: from the text of a `*.fold.json` document to a {Reckoning::Job}, with every problem named by
    # its place.
    module JobFormat
      FORMAT = "earnest-fold/job"
      VERSION = 1
      LARGEST = 4 * 1024 * 1024
      R = Reckoning

      # The document's own fields; cloths, windows and alterations are read one by one, so that each problem has its
      # place.
      HEAD = R::Fields.new(
        format: R::Declare.choice([FORMAT]),
        version: R::Declare.count(least: VERSION, most: VERSION),
        title: R::Declare.text(R::Declare::REQUIRED, most: 500),
        unit: R::Declare.choice(R::Units::ALL.keys)
      )
      WINDOW = R::Fields.new(id: R::Declare.id, room: R::Declare.text, name: R::Declare.text)

      module_function

      # @param text [String]
      # @return [Reckoning::Job]
      # @raise [Reckoning::Invalid]
      def read(text)
        raw = parse(text)
        build(raw)
      end

      # As {read}, and held against the published schema too: for documents from outside.
      # @raise [Reckoning::Invalid] with what either finds, each place once
      def read_strictly(text)
        raw = parse(text)
        problems = R::Problems.new
        job = JobReader.new(raw, problems).job
        # What is too large isn't looked at twice.
        return problems.raise_any if problems.to_a.any? { |problem| problem.code == :too_many_items }

        found = problems.to_a + misfits(raw, problems.to_a.map(&:at))
        raise R::Invalid, found if found.any?

        job
      end

      # The reader's own words come first; the schema adds only places about which nothing was said.
      def misfits(raw, said)
        Schema
          .misfits(raw)
          .reject do |at, _|
            said.any? { |place| place == at || place.start_with?("#{at}/") || at.start_with?("#{place}/") }
          end
          .map { |at, error| R::Problem.new(at: at, code: :schema, data: {error: error}) }
      end

      # @param text [String]
      # @return [Object] plain values; decimals exact
      # @raise [Reckoning::Invalid] for what is no JSON
      #
      #   Documents::JobFormat.parse('{"unit": "cm"}') # => {"unit"=>"cm"}
      def parse(text)
        raise JSON::ParserError, "too large" if text.bytesize > LARGEST

        utf8 = text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
        JSON.parse(utf8, decimal_class: BigDecimal, allow_duplicate_key: false)
      rescue JSON::JSONError, ArgumentError, EncodingError
        raise R::Invalid, [R::Problem.new(at: "", code: :not_json, data: {})]
      end

      # @param raw [Object] as {parse} gives it
      # @return [Reckoning::Job]
      # @raise [Reckoning::Invalid]
      def build(raw)
        problems = R::Problems.new
        job = JobReader.new(raw, problems).job
        problems.raise_any
        job
      end
    end
  end
end
