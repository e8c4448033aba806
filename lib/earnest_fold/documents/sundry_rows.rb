# frozen_string_literal: true

module EarnestFold
  module Documents
    # The small parts that a job needs, as lists tell them: each tape by its own name where it has one.
    class SundryRows
      R = Reckoning
      # `name` is the sort's, `says` what it is called, `cost` nil where no price is known.
      Row = R::Value.define(:name, :says, :amount, :cost)

      # @param works [Array<Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob>]
      # @param tapes [Hash{String => Reckoning::Tape}] those that they take, by id
      def initialize(works, tapes)
        @works, @tapes = works, tapes
      end

      # @return [Array<Row>]
      #
      #   Documents::SundryRows.new([reckoning], {}).to_a.map(&:name) # => [:weights, :hooks, :tape_length]
      def to_a =
        R::HardwareCount.total(@works).flat_map do |name, amount|
          (name == :tape_length) ? of_tapes : [Row.new(name: name, says: told(name), amount: amount, cost: nil)]
        end

      # What is to be got beyond what is on hand; all of it where nobody has counted.
      ToGet = R::Value.define(:says, :needed, :to_get, :cost)

      # @param on_hand [Hash{Symbol => Integer, Reckoning::Length}]
      # @return [Array<ToGet>] without what is made here, and without what there is enough of
      #
      #   Documents::SundryRows.new([reckoning], {}).to_get({}).size # => 3
      def to_get(on_hand)
        rows = to_a.select { |row| R::Sundries::BY_NAME.fetch(row.name).kept }
        rows.filter_map do |row|
          # What is on hand is counted by the sort: where several are of one sort, nobody knows whose it is.
          there = (rows.one? { |other| other.name == row.name }) ? on_hand[row.name] : nil
          short = there ? row.amount - there : row.amount
          ToGet.new(says: row.says, needed: row.amount, to_get: short, cost: row.cost) if more?(short)
        end
      end

      private

      def more?(amount) = amount.is_a?(R::Length) ? amount.positive? : amount > 0

      def told(name) = Words.say("sundries.#{name}")

      def of_tapes
        taken = @works.select { |made| lengths(made) }.group_by { |made| @tapes[made.tape] }
        taken.map do |tape, made|
          amount = made.map { |one| lengths(one) }.reduce(:+)
          says = tape ? "#{told(:tape_length)}: #{tape.name}" : told(:tape_length)
          Row.new(name: :tape_length, says: says, amount: amount, cost: tape&.cost(amount))
        end
      end

      def lengths(made) = made.sundries[:tape_length]
    end
  end
end
