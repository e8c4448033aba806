# frozen_string_literal: true

module EarnestFold
  module Store
    # What the store hands out: frozen, with no tie to the database. A `spec` is a plain Hash as the job format writes
    # it, its `source` stands for the text that it was read from: the same one for the same text, for as long as anybody
    # remembers it.
    module Records
      Job =
        Reckoning::Value.define(
          :id,
          :title,
          :unit,
          :version,
          :extras,
          :notes,
          :archived,
          :invoiced,
          :account,
          :dates,
          :customer_id,
          :house_id,
          :windows
        ) do
          # @return [Array<Treatment>]
          def treatments = windows.flat_map(&:treatments)

          # @return [Array<String>] of which its windows are, in their order
          def rooms = windows.map(&:room).reject(&:empty?).uniq
        end
      Window = Reckoning::Value.define(:id, :room, :name, :treatments)
      # `sort` is "made", or "altered" for somebody's own curtain.
      Treatment = Reckoning::Value.define(:id, :sort, :spec, :source, :version, :undoable, :put_away)
      Change = Reckoning::Value.define(:before, :after, :taken_back, :at, :by)
      Cloth = Reckoning::Value.define(:id, :spec, :source, :colour, :version)
      Tape = Reckoning::Value.define(:id, :spec, :version)
      # The colour of a cloth of which nobody has said any.
      UNDYED = "#e6dcc6"
      # One line of the jobs list. `altered` counts somebody's own curtains, `windows` all others.
      JobLine = Reckoning::Value.define(:id, :title, :unit, :windows, :altered, :rooms, :updated_at)

      # A piece on the shelf. `piece` is the core's; `reserved` what plans at the table have set aside of it.
      Piece = Reckoning::Value.define(:id, :cloth_id, :spec, :piece, :parent_id, :used_up, :version, :reserved) do
        # @return [String] that is written on it
        def label = piece.label

        # @param job_id [Integer, nil]
        # @return [Reckoning::Length] up to where it is cut or kept for other jobs
        def begins(job_id = nil) = [piece.ended, *reserved.reject { |one| one.job_id == job_id }.map(&:to)].max
      end
      # A stretch of a piece that a job's plan has set aside.
      Reserved = Reckoning::Value.define(:job_id, :title, :from, :to)
      # What happened to a piece.
      Happening = Reckoning::Value.define(:kind, :data, :by, :at)
      # A plan at the table.
      Plan = Reckoning::Value.define(:id, :job_id, :cloth_id, :proved, :used, :bound, :by, :at)
      # What lies at the table for a job: the open plans by cloth, and all its cuts by cloth in the order in which
      # they are made: those planned, and those made whenever.
      AtTable = Reckoning::Value.define(:open, :cuts) do
        # @return [Array<PlanCut>]
        def of(cloth_id) = cuts.fetch(cloth_id, [])
      end
      # One cut of it: `from` and `to` are distances from `datum`, itself a distance from the piece's first end.
      # `state` is "planned", "cut" or "wrong".
      PlanCut = Reckoning::Value.define(:id, :piece_id, :label, :datum, :from, :to, :cut, :state, :by, :done_at) do
        # @return [Boolean] whether it is cut, or went wrong
        def done? = state != "planned"

        # @return [Reckoning::Length] from the piece's first end
        def begins = datum + from

        # @return [Reckoning::Length] from the piece's first end
        def ends = datum + to
      end

      # @param length [Reckoning::Length]
      # @return [String] exact millimetres, to be kept
      def self.exact(length) = length.mm.to_s

      # @param text [String] as {exact} writes it
      # @return [Reckoning::Length]
      def self.length(text) = Reckoning::Length.new(Rational(text))

      # @param length [Reckoning::Length]
      # @return [String] as a person could have typed it, exactly
      def self.typed(length) = "#{(length.mm.denominator == 1) ? length.mm.numerator : length.mm} mm"

      # Reading the same text again costs more than all the rest of a page.
      READ = Remembered.new(3000)
      private_constant :READ

      # What was read of a text, and what stands for that text.
      Parsed = Reckoning::Value.define(:values, :source)

      # @param text [String] a JSON column as text
      # @return [Parsed] plain, frozen Ruby values
      def self.read(text) =
        READ.fetch(text) { Parsed.new(values: plain(Sequel.parse_json(text)), source: Object.new.freeze) }

      # @param text [String] a JSON column as text
      # @return [Object] plain, frozen Ruby values
      def self.parsed(text) = read(text).values

      # Nobody finds by more.
      MOST_WORDS = 8

      # @param text [String] as somebody types what they look for
      # @return [Array<String>] the words that have to be there, in small letters
      def self.each_word(text) = text.downcase.split.first(MOST_WORDS)

      # @param table [Symbol]
      # @return [Sequel::SQL::AliasedExpression] `written`: which state of a row this is, as any change makes another
      def self.written(table) = Sequel.lit(row_state(table)).as(:written)

      # @api private
      def self.row_state(table) = "#{table}.xmin::text || #{table}.ctid::text"

      # @param column [Symbol, Sequel::SQL::QualifiedIdentifier] a JSON column
      # @return [Sequel::SQL::Cast] the same to be selected as text
      def self.text(column, name) = Sequel.cast(column, String).as(name)

      # @param values [Object] what the database gives for a JSON column
      # @return [Object] the same as plain, frozen Ruby values
      def self.plain(values)
        case values
        when Hash, Sequel::Postgres::JSONBHash then values.to_h.transform_values { |value| plain(value) }.freeze
        when Array, Sequel::Postgres::JSONBArray then values.to_a.map { |value| plain(value) }.freeze
        else values
        end
      end
    end
  end
end
