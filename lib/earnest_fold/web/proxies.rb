# frozen_string_literal: true

require "ipaddr"

module EarnestFold
  module Web
    # Proxies that are trusted to say for whom they ask: TRUSTED_PROXIES names them, and nobody else is believed.
    class Proxies
      # @param named [String] addresses or networks, with commas between
      # @raise [IPAddr::Error] for what is none
      def initialize(named)
        @networks = named.split(",").map { |one| IPAddr.new(one.strip) }
      end

      # @param address [String]
      # @return [Boolean]
      #
      #   Web::Proxies.new("10.0.0.0/8").trusted?("10.1.2.3") # => true
      #   Web::Proxies.new("").trusted?("127.0.0.1") # => false
      def trusted?(address)
        asked = IPAddr.new(address)
        @networks.any? { |one| one.include?(asked) }
      rescue IPAddr::Error
        false
      end
    end
  end
end
