# frozen_string_literal: true

require "csv"

module EarnestFold
  module Documents
    # The shelf as a table, out and in: one piece a line. Lengths are written with their unit, flaws as "3.2 m –
    # 3.25 m slub; …".
    class ShelfCsv
      R = Reckoning
      COLUMNS = %w[cloth label batch delivered measured width repeat pattern_start place flaws squared left].freeze
      LENGTHS = %w[delivered measured width repeat pattern_start].freeze
      MOST_LINES = 2000
      # Nobody says more of a flaw.
      LONGEST_FLAW = 200
      # What spreadsheets part their cells with, by where they are at home.
      APART = [",", ";", "\t"].freeze
      FLAW = /\A(?<from>.+?)(?:\s*[–—]\s*|\s+-\s+)(?<to>.+?(?:#{R::LengthReader::NAMES}))(?:\s+(?<what>.+))?\z/i
      # What was read: each piece as [cloth id, label, spec], and what stands in the way, in words.
      Read = R::Value.define(:pieces, :problems)

      # @param pieces [Array<Array(String, Hash, Reckoning::Cutting::ShelfPiece)>] the cloth's name, the spec as kept,
      #   the piece
      # @return [String]
      #
      #   Documents::ShelfCsv.text([]).lines.size # => 1
      def self.text(pieces)
        CSV.generate do |csv|
          csv << COLUMNS.map { |column| Words.say("shelf_csv.#{column}") }
          pieces.each { |name, spec, piece| csv << line(name, spec, piece) }
        end
      end

      def self.line(name, spec, piece)
        [
          Cells.guarded(name),
          Cells.guarded(piece.label),
          Cells.guarded(piece.batch),
          *LENGTHS.map { |field| spec[field].to_s.then { |text| Cells.guarded(text) } },
          Cells.guarded(piece.place),
          spec.fetch("flaws", []).map { |flaw| "#{flaw["from"]} – #{flaw["to"]} #{flaw["what"]}".strip }.join("; "),
          (spec["squared"] || piece.begun?) ? "yes" : "",
          "#{Plain.decimal(piece.left.mm, 3)} mm"
        ]
      end
      private_class_method :line

      # @param text [String]
      # @param cloths [Hash{String => Integer}] ids by name
      # @param unit [Reckoning::Unit] of lengths that name none
      def initialize(text, cloths, unit)
        @text, @cloths, @unit = text, cloths, unit
      end

      # @return [Read]
      #
      #   Documents::ShelfCsv.new("", {}, Units::CM).read.pieces # => []
      def read
        table = CSV.parse(readable, headers: true, col_sep: apart, header_converters: ->(text) { heading(text) })
        return refused(:not_csv) unless wanted?(table.headers)
        return refused(:too_many_lines, most: MOST_LINES) if table.size > MOST_LINES

        lines = table.each_with_index.reject { |row, _| blank?(row) }.map { |row, index| line(row, index + 2) }
        Read.new(pieces: lines.map(&:first).compact, problems: lines.flat_map(&:last))
      rescue CSV::MalformedCSVError
        refused(:not_csv)
      end

      private

      def refused(code, **data) = Read.new(pieces: [], problems: [Words.say("shelf_csv.#{code}", **data)])

      # A spreadsheet that writes no UTF-8 writes as Windows does.
      def readable
        utf8 = @text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
        return utf8 if utf8.valid_encoding?

        utf8.force_encoding(Encoding::WINDOWS_1252).encode(Encoding::UTF_8, undef: :replace)
      end

      def apart = APART.max_by { |sign| readable.lines.first.to_s.count(sign) }

      def heading(text) = text.to_s.strip.downcase

      def called(column) = heading(Words.say("shelf_csv.#{column}"))

      def wanted?(headers) = %w[cloth label delivered].all? { |column| headers.include?(called(column)) }

      def blank?(row) = row.fields.all? { |field| field.to_s.strip.empty? }

      def cell(row, column) = Cells.bare(row[called(column)])

      # @return [Array(Array, Array<String>)] the piece, or nil; and its problems in words
      def line(row, number)
        spec, problems = spec(row), R::Problems.new
        label, cloth = cell(row, "label"), @cloths[cell(row, "cloth")]
        problems.within(:cloth).add(:no_such_cloth, id: cell(row, "cloth")) unless cloth
        problems.within(:label).add(:empty) if label.empty?
        doubts(row, problems)
        R::Cutting::ShelfPiece.read(spec, label, [], problems, unit: @unit)
        [
          problems.any? ? nil : [cloth, label, spec],
          problems.to_a.map do |problem|
            Words.say(
              "shelf_csv.line",
              number: number,
              at: problem.at.delete_prefix("/"),
              says: Words.problem(problem, @unit)
            )
          end
        ]
      end

      def doubts(row, problems)
        R::Cutting::ShelfPiece::OF_ROLL.each do |name|
          code, facts = R::Cutting::ShelfPiece.doubt(name, cell(row, name), @unit)
          problems.within(name).add(code, **facts) if code
        end
      end

      def spec(row)
        lengths = LENGTHS.to_h { |field| [field, with_unit(cell(row, field))] }.reject { |_, text| text.empty? }
        lengths
          .merge("batch" => cell(row, "batch"), "place" => cell(row, "place"), "flaws" => flaws(cell(row, "flaws")))
          .reject { |_, value| value.empty? }
          .merge((cell(row, "squared").downcase == "yes") ? {"squared" => true} : {})
      end

      def with_unit(text) = (text.empty? || R::LengthReader.unit_named?(text)) ? text : "#{text} #{@unit.name}"

      def flaws(text)
        text
          .split(";")
          .map(&:strip)
          .reject(&:empty?)
          .map do |one|
            if one.size <= LONGEST_FLAW && (found = FLAW.match(one))
              {
                "from" => with_unit(found[:from].strip),
                "to" => with_unit(found[:to].strip),
                "what" => found[:what].to_s.strip
              }
            else
              {"from" => one, "to" => one}
            end
          end
      end
    end
  end
end
