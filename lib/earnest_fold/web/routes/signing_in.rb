# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # How people come in: what the pages of signing in show, and invitations taken.
      class SigningIn < Handler
        # Under this stands what is to be shown: the view and its screen. Its status is set by whoever asks.
        SHOWN = "earnest_fold.sign_in_shown"

        open_to Access::OPEN
        get Paths.sign_in_shown, :shown
        get Paths.join(":key"), :invited
        post Paths.join(":key"), :join

        def shown
          view, screen = request.env[SHOWN]
          raise Store::Missing, "nothing to be shown" unless view

          page(view, screen)
        end

        def invited(key) = page(:join, Screens::Join.new(invitation(key), Forms::JoinForm.new({}, nil), who))

        # What is chosen is checked by the same rules as everywhere; then they are in.
        def join(key)
          return join_as_they_are(key) if who && params["as"] == "me"

          form = Forms::JoinForm.new(params, rodauth)
          return asked_again(key, form) unless form.valid?

          account = Store::Joining.use(key) { |invitation| account_of(invitation, form) }
          rodauth.let_in(account, form.password)
          go(Paths.home)
        rescue Store::Taken
          form.refuse("login", :login_taken)
          asked_again(key, form)
        end

        private

        # Who signs in already belongs to this workroom too, from now on.
        def join_as_they_are(key)
          raise Store::Missing, "for a password" if invitation(key).account_id

          session["workroom"] = invitation(key).workroom_id
          Store::Joining.use(key) { who.account_id }
          go(Paths.home)
        end

        def rodauth = @rodauth ||= request.env.fetch(Access::AUTH).call

        def invitation(key)
          Store::Joining.find(key) or raise Store::Missing, "no such invitation"
        end

        # A new password for whom has an account; an account for whom has none.
        def account_of(invitation, form)
          return invitation.account_id if invitation.account_id

          Store::Workroom.new(invitation.workroom_id).people.rename(invitation.person_id, form.name)
          Store::Accounts.create(form.login)
        end

        def asked_again(key, form) = page(:join, Screens::Join.new(invitation(key), form, who), status: 422)
      end
    end
  end
end
