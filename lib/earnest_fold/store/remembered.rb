# frozen_string_literal: true

module EarnestFold
  module Store
    # What has been reckoned lately, kept by everything that it was reckoned from: the same figures asked for again
    # are not reckoned again, and nothing that changed is ever taken from here. Each process has its own; losing it
    # loses only time.
    class Remembered
      # @param most [Integer] how many are kept; the one not asked for longest goes first
      def initialize(most)
        @most, @kept, @lock = most, {}, Mutex.new
      end

      # @param key [Object] by its content
      # @yieldreturn [Object] what is to be kept
      def fetch(key)
        found = @lock.synchronize { (value = @kept.delete(key)) && (@kept[key] = value) }
        return found if found

        yield.tap { |made| @lock.synchronize { keep(key, made) } }
      end

      # Forgets everything.
      def clear = @lock.synchronize { @kept.clear }

      # @param key [Object] by its content
      # @return [Object, nil] what is kept there
      def [](key) = @lock.synchronize { @kept[key] }

      # Keeps something in the place of whatever was there.
      def []=(key, made)
        @lock.synchronize { keep(key, made) }
      end

      # @return [Integer]
      def size = @kept.size

      private

      def keep(key, made)
        @kept.delete(key)
        @kept[key] = made
        @kept.shift while @kept.size > @most
      end
    end
  end
end
