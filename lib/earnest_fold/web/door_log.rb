# frozen_string_literal: true

require "logger"

module EarnestFold
  module Web
    # What happened at the door, and who was let do what, a line each: when, what, whose by numbers, and from where. No
    # names, no addresses of people, no keys. Kept longer than requests are, in the file that DOOR_LOG names.
    module DoorLog
      FILES, LARGEST = 12, 5 * 1024 * 1024

      module_function

      # @param env [Hash] of the request
      # @param what [String, Symbol] happened
      # @param facts [Hash{Symbol => Object}] numbers and words of our own, such as a role
      def note(env, what, **facts)
        told = facts.compact.map { |name, value| "#{name}=#{value.to_s.gsub(/[^\w.-]/, "_")[0, 60]}" }
        log.info([what.to_s.ljust(18), whose(env), RequestLog.from(env), *told].join("  "))
      end

      # @api private
      def log = @log ||= made(ENV["DOOR_LOG"] || File::NULL)

      # @api private
      def made(file) =
        Logger.new(
          file,
          FILES,
          LARGEST,
          formatter: ->(_, time, _, line) { "#{time.utc.strftime("%Y-%m-%d %H:%M:%S")}Z #{line}\n" }
        )

      # @api private
      def whose(env)
        who = env[Access::WHO]
        who ? "#{who.workroom_id}/#{who.person_id}" : "-"
      end
    end
  end
end
