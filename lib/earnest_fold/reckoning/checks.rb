# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a check says of one treatment: a code, how serious (:stop, :warn or :note), the facts for its words, and the
    # fields that it concerns (`at`, as paths), the one to change first.
    class Check < Value.define(:code, :level, :data, :at)
      def initialize(code:, level:, data:, at: [])
        super
      end

      # @return [Boolean] whether nothing can be made before it is mended
      #
      #   Check.new(code: "no_pleats", level: :stop, data: {}, at: []).stop? # => true
      def stop? = level == :stop
    end

    # The checks: "Checks" in the rules. A check is one file in checks/: a module with `CODE`, `LEVEL`, the
    # `STATION` at which it speaks (the cloth's where it names none), the fields that it stands `AT` and
    # `call(reckoning)`, which gives the facts (a Hash) where it is raised and nil where it stays silent.
    module Checks
      USUAL_STATION = "cloth"
      LEVELS = %i[stop warn note].freeze
      Kinds = Registry.new(:call)

      module_function

      # @param reckoning [TreatmentReckoning]
      # @return [Array<Check>] each code once, the most serious first
      #
      #   Checks.of(reckoning) # => []
      def of(reckoning)
        raised = Kinds.filter_map do |kind|
          data = kind.call(reckoning)
          data && Check.new(code: kind::CODE, level: kind::LEVEL, data: data, at: kind::AT)
        end
        raised.sort_by.with_index { |check, index| [LEVELS.index(check.level), index] }
      end

      # @api private
      # @param reckoning [TreatmentReckoning]
      # @param name [Symbol] of a figure that may be ordered
      # @return [Hash, nil] what was ordered, what the rules make, and how far apart they lie
      #
      #   made = given({"ordered/finished_drop" => "210 cm"}).reckon
      #   Checks.ordered_otherwise(made, :finished_drop).values # => [2100 mm, 2128 mm, 28 mm]
      def ordered_otherwise(reckoning, name)
        one = reckoning.ordered.find { |beside| beside.name == name && beside.differs? } or return
        {given: one.ordered, made: one.made, apart: (one.made - one.ordered).abs}
      end

      # @param check [Check]
      # @return [String] the station at which it speaks
      #
      #   Checks.station_of(Check.new(code: "carriers_short", level: :stop, data: {})) # => "heading"
      def station_of(check)
        kind = Kinds[check.code]
        kind&.const_defined?(:STATION) ? kind::STATION : USUAL_STATION
      end
    end
  end
end
