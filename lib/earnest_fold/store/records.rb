# frozen_string_literal: true

module EarnestFold
  module Store
    # What the store hands out: frozen, with no tie to the database. A `spec` is a plain Hash as the job format writes it, its
    # `source` the text that it was read from.
    module Records
      Job = Reckoning::Value.define(:id, :title, :unit, :version, :updated_at, :extras, :notes, :archived, :windows) do
        # @return [Array<Treatment>]
        def treatments = windows.flat_map(&:treatments)
      end
      Window = Reckoning::Value.define(:id, :room, :name, :treatments)
      Treatment = Reckoning::Value.define(:id, :spec, :source, :version, :undoable, :put_away)
      Change = Reckoning::Value.define(:before, :after, :taken_back, :at, :by)
      Cloth = Reckoning::Value.define(:id, :spec, :source, :colour, :version)
      # The colour of a cloth of which nobody has said any.
      UNDYED = "#e6dcc6"
      # One line of the jobs list.
      JobLine = Reckoning::Value.define(:id, :title, :unit, :windows, :rooms, :updated_at)

      # Reading the same text again costs more than all the rest of a page.
      READ = Remembered.new(4000)
      private_constant :READ

      # @param text [String] a JSON column as text
      # @return [Object] plain, frozen Ruby values
      def self.parsed(text) = READ.fetch(text) { plain(Sequel.parse_json(text)) }

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
