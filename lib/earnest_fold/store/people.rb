# frozen_string_literal: true

module EarnestFold
  module Store
    # Who works here, by name: a change says whose it was.
    class People
      def initialize(workroom)
        @workroom = workroom
      end

      # @return [Array<String>] names in order
      def names = Store.guard { @workroom.rows(:people).order(Sequel.function(:lower, :name)).select_map(:name) }

      # @param name [String] kept once, however often it is said
      def add(name) =
        Store.guard { @workroom.rows(:people).insert_conflict.insert(workroom_id: @workroom.id, name: name) }
    end
  end
end
