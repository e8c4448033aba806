# frozen_string_literal: true

require "json"

module EarnestFold
  module Documents
    # The job format out: a kept job as the text of a `*.fold.json` document. What goes out comes back the same.
    class JobWriter
      R = Reckoning
      # A job as it is kept: windows are [id, room, name, {id => spec}], cloths and tapes {id => spec}; `extras` what
      # else a document had.
      Kept = R::Value.define(:title, :unit, :windows, :cloths, :tapes, :extras)

      # @param kept [Kept]
      def initialize(kept)
        @kept = kept
      end

      # @return [String]
      def text = "#{JSON.pretty_generate(document)}\n"

      # @return [Hash]
      def document
        {
          "format" => JobFormat::FORMAT,
          "version" => JobFormat::VERSION,
          "title" => @kept.title,
          "unit" => @kept.unit,
          "cloths" => named(@kept.cloths, R::Cloth::FIELDS),
          **(@kept.tapes.empty? ? {} : {"tapes" => named(@kept.tapes, R::Tape::FIELDS)}),
          "windows" => windows
        }.merge(SpecFormat.extras_to_document(@kept.extras))
      end

      private

      def named(specs, fields) = specs.map { |id, spec| {"id" => id}.merge(SpecFormat.to_document(spec, fields)) }

      def windows
        @kept.windows.map do |id, room, name, treatments|
          {
            "id" => id,
            "room" => room,
            "name" => name,
            "treatments" => named(treatments, R::Treatment::FIELDS)
          }
        end
      end
    end
  end
end
