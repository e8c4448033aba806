# frozen_string_literal: true

require "open3"

module EarnestFold
  module Web
    # How much room the disk has left on which the workroom's data lie, looked at once a minute: told before it is
    # full. A database on another machine is looked after there.
    class DiskRoom
      MINUTE = 60
      # Megabytes: below that everybody is told.
      LEAST = 1024
      KILOBYTES = 1024
      OF_DATA = File.join(EarnestFold.root, "var")

      # @param folder [String]
      # @param least [Integer] megabytes
      def initialize(folder = OF_DATA, least: LEAST)
        @folder, @least, @looked, @lock = folder, least, nil, Mutex.new
      end

      # @return [Integer, nil] megabytes; nil where nobody knows
      def left
        @lock.synchronize do
          if @looked.nil? || now - @looked > MINUTE
            @left, @looked = look, now
          end
          @left
        end
      end

      # @return [Boolean]
      def low? = !!left&.then { |megabytes| megabytes < @least }

      private

      def look
        told, status = Open3.capture2e("df", "-Pk", @folder)
        status.success? ? told.lines.last.split[3].to_i / KILOBYTES : nil
      rescue SystemCallError
        nil
      end

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
