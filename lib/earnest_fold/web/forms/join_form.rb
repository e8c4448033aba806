# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What somebody chooses who comes in by an invitation: what they sign in by, and a password, typed twice.
      class JoinForm
        attr_reader :name, :login, :password, :problems

        # @param params [Hash]
        # @param rodauth [Object, nil] by whose rules it is checked; nil: nothing was sent yet
        def initialize(params, rodauth)
          @name, @login, @password, @again = %w[name login password again].map { |name| params[name].to_s }
          @name, @login = @name.strip[0, PersonForm::LONGEST], @login.strip.downcase
          @problems = {}
          check(rodauth, has_account: params["known"] == "yes") if rodauth
        end

        def valid? = problems.empty?

        # @param name [String]
        # @param code [Symbol] of the words
        def refuse(name, code) = @problems[name] = Words.say("sign_in.problems.#{code}")

        private

        def check(rodauth, has_account:)
          refuse("name", :no_name) if !has_account && name.empty?
          refuse("login", :no_address) unless has_account || rodauth.fault_of_login(login).nil?
          refuse("password", :weak) if rodauth.fault_of(password)
          refuse("again", :differs) if password != @again
        end
      end
    end
  end
end
