# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Whoever is signed in: who they are here, how they sign in, and where they are signed in.
      class You
        # Browsers and systems by what they say of themselves; the first that fits.
        BROWSERS = {"Firefox" => "Firefox", "Edg" => "Edge", "Chrome" => "Chrome", "Safari" => "Safari"}.freeze
        SYSTEMS = {"Android" => "Android", "iPhone" => "iPhone", "iPad" => "iPad", "Windows" => "Windows",
                   "Mac OS" => "Mac", "Linux" => "Linux"}.freeze
        # What can be changed: the address, and the words' key.
        WAYS = %w[password address second spare-codes close].freeze

        # The week in other programs: whether it is theirs to see, has an address, and that address where it was made
        # just now.
        Calendar = Reckoning::Value.define(:theirs, :given, :address)

        # Their distance meters: whether they measure, where one sends to, and its key where it was made just now.
        Measuring = Reckoning::Value.define(:theirs, :meters, :address, :key)

        # @return [Calendar]
        attr_reader :calendar
        # @return [Measuring]
        attr_reader :measuring
        # @return [Store::Accounts::Who]
        attr_reader :who
        # @return [String, nil] what was done
        attr_reader :said
        # @return [String] what they sign in by
        attr_reader :login
        # @return [Array<Store::Accounts::Device>]
        attr_reader :devices
        # @return [Array<Array(Integer, String)>]
        attr_reader :workrooms

        # @param here [String, nil] the print of this device's session
        # @param said [String, nil] what was done
        # @param calendar [Calendar]
        # @param measuring [Measuring]
        def initialize(who, login:, devices:, here:, workrooms:, calendar:, measuring:, said: nil)
          @who, @login, @devices, @here, @workrooms, @said = who, login, devices, here, workrooms, said
          @calendar, @measuring = calendar, measuring
        end

        def page_title = who.name

        def role = Words.say("roles.#{who.role}")

        def here?(device) = device.print == @here

        # @return [String] "Firefox, Linux"
        def called(device)
          named = [BROWSERS, SYSTEMS].filter_map { |names| names.find { |sign, _| device.device.include?(sign) }&.last }
          named.empty? ? Words.say("you.some_device") : named.join(", ")
        end

        # @return [Array<Array(String, String)>] address and words
        def ways = WAYS.map { |way| ["#{Paths.me}/#{way}", Words.say("you.ways.#{way.tr("-", "_")}")] }
      end
    end
  end
end
