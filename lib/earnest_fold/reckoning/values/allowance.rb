# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Cloth turned over at an edge: double takes twice its depth, single its depth and the turn-under, none nothing.
    Allowance = Value.define(:kind, :depth, :turn_under) do
      # @return [Length] what the turning takes of the flat cloth
      #
      #   Allowance.new(kind: "single", depth: Length.cm(4), turn_under: Length.cm(1)).taken # => 50 mm
      def taken
        case kind
        when "double" then depth * 2
        when "single" then depth + turn_under
        else Length::ZERO
        end
      end
    end

    # What a turning of each kind is given.
    Allowance::ASKS = {"double" => %w[kind depth], "single" => %w[kind depth turn_under]}.freeze

    # @param kind [String, nil]
    # @return [Array<String>] the fields that mean anything of a turning of a kind
    #
    #   Allowance.asks("double") # => ["kind", "depth"]
    def Allowance.asks(kind) = Allowance::ASKS.fetch(kind, %w[kind])

    Allowance::KINDS = %w[double single none].freeze
    Allowance::NONE = Allowance.new(kind: "none", depth: Length::ZERO, turn_under: Length::ZERO)
  end
end
