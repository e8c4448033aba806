# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What the house talks to outside, and how it answers.
      class Outside
        # @return [PostStands]
        attr_reader :post
        # @return [Array<Store::Letters::Letter>] that wait, or didn't go
        attr_reader :letters

        # @param outbox [Documents::Outbox, nil] of the stand-in
        # @param asked [Boolean] whether somebody asks just now whether it answers
        # @param owner [Boolean] whether whoever looks may switch it
        def initialize(post, letters, outbox, asked:, owner:)
          @post, @letters, @outbox, @asked, @owner = post, letters, outbox, asked, owner
        end

        def page_title = Words.say("outside.title")

        def asked? = !@asked.nil?

        def owner? = @owner

        # @return [Array<Documents::Outbox::Taken>, nil] nil with a real post
        def taken = @outbox&.letters

        def why(letter) = letter.why.empty? ? "" : Words.say("letters.why.#{letter.why}")
      end
    end
  end
end
