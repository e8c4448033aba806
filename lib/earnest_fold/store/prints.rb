# frozen_string_literal: true

module EarnestFold
  module Store
    # Labels that go to the label printer: what they are of, and what came of them.
    class Prints
      include GoingOut

      # By its name: whoever prints stands outside of this room.
      WORKER = "EarnestFold::Background::Printing"
      MOST = 20
      # `about` what it is of, in words.
      Print = Reckoning::Value.define(:id, :about, :state, :tries, :why, :by, :at, :ended_at) do
        # @return [Boolean] whether the printer didn't take it
        def failed? = state == "failed"
      end

      # @param workroom [Workroom]
      def initialize(workroom)
        @workroom = workroom
      end

      # @param about [String] what it is of
      # @param file [String] PDF
      # @return [Integer] its id, on its way
      def ask(about, file)
        @workroom.transaction do
          made = @workroom.insert(:prints, about: about[0, 200], file: Sequel.blob(file), by: @workroom.by)[:id]
          made.tap { |id| send_off(id) }
        end
      end

      # @return [String, nil] PDF; nil once it is printed
      def file(id) = Store.guard { rows.where(id: id).get(:file) }

      # @return [Array<Print>] the last first
      def list = Store.guard { rows.order(Sequel.desc(:id)).limit(MOST).map { |row| record(row) } }

      # Printed, its file is kept no longer.
      def sent(id)
        super
        Store.guard { rows.where(id: id).update(file: nil) }
      end

      private

      def rows = @workroom.rows(:prints)

      def record(row) = Print.new(**row.slice(*Print.members))
    end
  end
end
