# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a heading tape. Its kind is said once: what takes it relies on that.
      class TapeForm < FieldForm
        FIRST = %w[name kind].freeze

        attr_reader :spec

        # @param kind [String, nil]
        # @return [Array<String>] what is asked of such a tape; of one that isn't there yet only what it is
        def self.names(kind) = kind ? R::Tape::ASKED.fetch(kind) - %w[kind] : FIRST

        # @param stored [Hash] the spec as it is; empty for a new tape
        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param version [Integer, nil] of what is stored; nil for a new tape
        def initialize(stored, params, unit, version: nil)
          super(params, unit, seen: FieldForm.seen?(params, version))
          @stored = stored
          @spec = params ? read : stored
        end

        def field(name) = R::Tape::FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @stored[name]

        def called(name) = Words.say("tape_fields.#{name}")

        def read
          spec = TapeForm.names(@stored["kind"]).reduce(@stored) { |made, name| taken(made, name) }
          FIRST.each { |name| refuse(name, :missing) if spec[name].to_s.empty? && !problems[name] }
          spec
        end
      end
    end
  end
end
