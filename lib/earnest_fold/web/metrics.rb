# frozen_string_literal: true

require "prometheus/client"
require "prometheus/client/formats/text"

module EarnestFold
  module Web
    # How the house does, for Prometheus: how many requests came, how they ended and how long they took; what waits, how
    # old the last copy is, and how much memory the server has. Nobody's names, numbers or addresses.
    class Metrics
      # Seconds.
      STEPS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10].freeze
      GAUGES = {
        errands_waiting: "What waits for its turn", errands_running: "What is being worked out",
        errands_failed: "What wasn't done", devices: "Devices that are signed in",
        copy_age: "Seconds since the last copy"
      }.freeze
      METHODS = %w[GET HEAD POST].freeze
      PATH = "/metrics"
      # Bytes of what the machine counts memory in.
      PAGE = 4096

      # What was counted in this process.
      class Registry < Prometheus::Client::Registry
        def initialize
          super
          @requests = counter(:earnest_fold_requests_total, docstring: "Requests", labels: %i[method status])
          @seconds = histogram(:earnest_fold_request_seconds, docstring: "How long they took", buckets: STEPS)
          @up = gauge(:earnest_fold_database_up, docstring: "Whether the database answers")
          @memory = gauge(:earnest_fold_resident_bytes, docstring: "Memory of the server")
          @stands = GAUGES.to_h { |name, words| [name, gauge(:"earnest_fold_#{name}", docstring: words)] }
        end

        def count(verb, status, seconds)
          method = METHODS.include?(verb) ? verb : "other"
          @requests.increment(labels: {method: method, status: status.to_i.div(100).to_s + "xx"})
          @seconds.observe(seconds)
        end

        # As it is now; without the database what it knows is left as it was.
        def look
          @memory.set(Metrics.resident)
          Store::Counts.now.each { |name, value| @stands.fetch(name).set(value) }
          @up.set(1)
        rescue Store::Unreachable
          @up.set(0)
        end
      end

      # @return [Registry] of this process
      def self.registry = @registry ||= Registry.new

      # @return [Integer] bytes of memory that this process holds; 0 where the machine doesn't tell
      def self.resident
        File.read("/proc/self/statm").split[1].to_i * PAGE
      rescue SystemCallError
        0
      end

      # @param app [#call]
      def initialize(app, registry = Metrics.registry)
        @app, @registry = app, registry
      end

      def call(env)
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @app.call(env).tap do |status, _|
          @registry.count(env["REQUEST_METHOD"], status, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started)
        end
      end

      # What answers on a port of its own, on this machine alone: the application itself never does.
      TOLD = lambda do |env|
        next [404, {"content-type" => "text/plain"}, ["#{PATH} alone\n"]] unless env["PATH_INFO"] == PATH

        registry.look
        format = Prometheus::Client::Formats::Text
        [200, {"content-type" => format::CONTENT_TYPE}, [format.marshal(registry)]]
      end
    end
  end
end
