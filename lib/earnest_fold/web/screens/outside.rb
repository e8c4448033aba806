# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What the house talks to outside, and how it answers.
      class Outside
        # @return [Array<OutsideStands>]
        attr_reader :things
        # @return [Array<Store::Letters::Letter>] that wait, or didn't go
        attr_reader :letters
        # @return [Array<Store::Prints::Print>] the last first
        attr_reader :prints
        # @return [Array<Store::Orders::Order>] of which something is still to come, the last first
        attr_reader :orders
        # @return [Array<Store::Supply::Wrong>] what could not be right, the last first
        attr_reader :wrongs
        # @return [Array<Array(Store::Meters::Meter, String)>] with whose each is
        attr_reader :meters
        # @return [Array<String>, nil] what the printer's stand-in printed; nil with a real printer
        attr_reader :printed

        # @param outbox [Documents::Outbox, nil] of the post's stand-in
        # @param asked [Boolean, nil] whether somebody asks just now whether it answers
        # @param owner [Boolean] whether whoever looks may switch it
        def initialize(things, letters:, prints:, orders:, wrongs:, meters:, outbox:, printed:, asked:, owner:)
          @things, @letters, @prints, @outbox, @printed = things, letters, prints, outbox, printed
          @asked, @owner, @orders, @wrongs, @meters = asked, owner, orders, wrongs, meters
        end

        def page_title = Words.say("outside.title")

        def asked? = !@asked.nil?

        def owner? = @owner

        # @return [Array<Documents::Outbox::Taken>, nil] nil with a real post
        def taken = @outbox&.letters

        # @param order [Store::Orders::Order]
        # @return [String] how it stands
        def stands(order) = BuyingOrder.stands(order)

        def why(one) = one.why.empty? ? "" : Words.say("letters.why.#{one.why}")
      end
    end
  end
end
