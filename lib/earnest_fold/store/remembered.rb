# frozen_string_literal: true

module EarnestFold
  module Store
    # What has been reckoned lately, kept by everything that it was reckoned from: the same figures asked for again
    # are not reckoned again, and nothing that changed is ever taken from here. Each process has its own; losing it
    # loses only time.
    class Remembered
      # @param most [Integer] how many are kept; those not asked for longest go first, half of them at a time
      def initialize(most)
        @half, @lock = [most / 2, 1].max, Mutex.new
        @lately, @before = {}, {}
      end

      # @param key [Object] by its content
      # @yieldreturn [Object] what is to be kept
      def fetch(key)
        self[key] || yield.tap { |made| @lock.synchronize { add(key, made) } }
      end

      # Forgets everything.
      def clear = @lock.synchronize { @lately, @before = {}, {} }

      # @param key [Object] by its content
      # @return [Object, nil] what is kept there
      def [](key) = @lock.synchronize { @lately[key] || asked_again(key) }

      # Keeps something in the place of whatever was there.
      def []=(key, made)
        @lock.synchronize do
          @before.delete(key)
          add(key, made)
        end
      end

      # @return [Integer]
      def size = @lately.size + @before.size

      private

      # Keys are long: nothing is looked for in vain.
      def asked_again(key)
        made = @before.delete(key) unless @before.empty?
        add(key, made) if made
      end

      def add(key, made)
        @lately, @before = {}, @lately if @lately.size >= @half && !@lately.key?(key)
        @lately[key] = made
      end
    end
  end
end
