# frozen_string_literal: true

require "logger"

module EarnestFold
  module Background
    # A line for each time that the house talked to something outside: with what, about what, and what came of it. By
    # numbers alone: nothing of what was said, no address, no key.
    module TalkLog
      module_function

      # @param thing [String] its name
      # @param about [String] what it was about: "orders 12"
      # @param outcome [String, Symbol] one of our own words
      def note(thing, about, outcome) = log.info("outside #{thing}: #{about}: #{outcome}")

      # @param file [String, IO] where the lines go from now on; nowhere until somebody says where
      def into(file)
        @log = Logger.new(file, 3, 5 * 1024 * 1024, formatter: method(:line))
      end

      # @api private
      def log = @log || into(File::NULL)

      # @api private
      def line(_severity, time, _program, words) = "#{time.utc.strftime("%Y-%m-%d %H:%M:%S")}Z #{words}\n"
    end
  end
end
