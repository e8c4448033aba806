# frozen_string_literal: true

module EarnestFold
  module Adapters
    # Where one is, is said by the environment; who extends it says under which name (`ADDRESS`).
    module Configured
      # @return [Object, nil] the one that is named; nil where none is
      # @raise [ArgumentError] where its address can't be read
      def configured
        address = ENV[self::ADDRESS].to_s
        address.empty? ? nil : new(address)
      end
    end
  end
end
