# frozen_string_literal: true

module EarnestFold
  module Store
    # Does a thing once, however often it is asked for: the key that it came under is kept in the same transaction as
    # what was done. Whoever comes with the same key meanwhile waits, and then learns where the first one led.
    class Once
      # A browser that was put away for longer asks anew.
      DAYS_KEPT = 90

      CLAIM =
        "INSERT INTO taken_once (workroom_id, key, print, led_to) VALUES (:workroom, :key, :print, :led) ON " \
          "CONFLICT DO NOTHING RETURNING key"
      private_constant :CLAIM

      def initialize(workroom)
        @workroom = workroom
      end

      # @param key [String] that the page gave it
      # @param print [String] of all that was sent: the same key with something else in it is another thing
      # @param likely [String] where it leads most likely
      # @yieldreturn [String, nil] where it led; nil where nothing was done: then all of it is undone, and the key is
      #   free again
      # @return [String, nil] where it led the first time; nil where that is now
      def at_first(key, print, likely: "")
        Store.guard do
          Store.db.transaction(auto_savepoint: true) do
            row = {key: key, print: print}
            if Store
                .prepared(:claim, **row, workroom: @workroom.id, led: likely) do
                  Store.db[CLAIM, {key: :$key, print: :$print, workroom: :$workroom, led: :$led}]
                end
                .empty?
              next rows.where(row).get(:led_to)
            end

            led = yield or raise Sequel::Rollback
            rows.where(row).update(led_to: led) unless led == likely
            nil
          end
        end
      end

      # What nobody asks for any more.
      def forget_old =
        Store.guard { rows.where(Sequel[:at] < Sequel.lit("now() - interval '#{DAYS_KEPT} days'")).delete }

      private

      def rows = @workroom.rows(:taken_once)
    end
  end
end
