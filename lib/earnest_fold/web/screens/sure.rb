# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What is asked before something that can't be taken back: the password once more, with what was sent kept.
      class Sure
        # @return [String] where it goes on
        attr_reader :address
        # @return [Array<Array(String, String)>] what was sent
        attr_reader :fields

        # @param address [String]
        # @param fields [Array<Array(String, String)>]
        # @param wrong [Boolean] whether a password was given, and wasn't theirs
        def initialize(address, fields, wrong:)
          @address, @fields, @wrong = address, fields, wrong
        end

        def page_title = Words.say("sure.title")

        def wrong? = @wrong

        # @return [String] as the password is sent
        def password_field = Web::Sure::FIELD
      end
    end
  end
end
