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
      def to_a =
        R::HardwareCount.total(@works).flat_map do |name, amount|
          (name == :tape_length) ? of_tapes : [Row.new(name: name, says: told(name), amount: amount, cost: nil)]
        end

      private

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
