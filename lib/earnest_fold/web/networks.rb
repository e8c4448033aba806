# frozen_string_literal: true

require "ipaddr"

module EarnestFold
  module Web
    # Addresses and networks as they are named, with commas between: the proxies that are believed, or this machine.
    class Networks
      # @param named [String]
      # @raise [IPAddr::Error] for what is none
      def initialize(named)
        @networks = named.split(",").map { |one| IPAddr.new(one.strip) }
      end

      # @param address [Object] as a request says it
      # @return [Boolean]
      #
      #   Web::Networks.new("10.0.0.0/8").include?("10.1.2.3") # => true
      #   Web::Networks.new("").include?("127.0.0.1") # => false
      def include?(address)
        asked = IPAddr.new(address.to_s)
        @networks.any? { |one| one.include?(asked) }
      rescue IPAddr::Error
        false
      end
    end
  end
end
