# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The page that an invitation opens.
      class Join
        # @return [Store::Invitations::Invitation]
        attr_reader :invitation
        # @return [Forms::JoinForm]
        attr_reader :form

        # @param invitation [Store::Invitations::Invitation]
        # @param form [Forms::JoinForm]
        # @param who [Store::Accounts::Who, nil] who is signed in on this device
        def initialize(invitation, form, who)
          @invitation, @form, @who = invitation, form, who
        end

        # @return [String, nil] who could come in as they are
        def as = (@who && !known?) ? @who.name : nil

        def page_title = Words.say(known? ? "join.new_password" : "join.title")

        def lead = Words.say(known? ? "join.lead_known" : "join.lead", name: invitation.name)

        # @return [String] as they are called here, or as they typed it
        def name = form.name.empty? ? invitation.name : form.name

        # What is asked: its name, its type, what a browser may fill in, and what stands there.
        # @return [Array<Array<String>>]
        def fields
          own = known? ? [] : [["name", "text", "name", name], ["login", "email", "username", form.login]]
          own + %w[password again].map { |field| [field, "password", "new-password", ""] }
        end

        # @return [Boolean] whether they have an account already
        def known? = !invitation.account_id.nil?
      end
    end
  end
end
