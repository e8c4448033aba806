# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a job is asked for beside its work: fitting, the way, and something else.
      class AccountForm
        include Merging
        include Refusing

        R = Reckoning
        NAMES = %w[fitted travel extra_name extra_amount].freeze
        AMOUNT = /\A-?\d{1,9}([.,]\d{1,2})?\z/
        LONGEST = 80
        # What is kept of the account, by the field that says it.
        FIELDS = %w[fitted travel].freeze
        attr_reader :typed, :kept

        # @param kept [Hash] as it is kept now
        # @param asked [Reckoning::Account::Asked] what that comes to
        # @param params [Hash]
        def initialize(kept, asked, params)
          @now, @asked, @saw = kept, asked, Saw.new(params) { nil }
          @typed = NAMES.to_h { |name| [name, params[name].is_a?(String) ? params[name].strip : shown(name)] }
          changed =
            FIELDS
              .select { |name| mine?(name, @typed[name]) }
              .to_h { |name| [name, (name == "fitted") ? count(name) : amount(name)] }
          @kept = kept.merge(changed, "extras" => extras(kept["extras"], params["away"]))
          @kept = @kept.merge("school" => params["school"]) if R::Account::Rules::SCHOOLS.include?(params["school"])
        end

        def valid? = super && clashes.empty?

        # @return [String] by which an extra is named where it is taken away: its own words and sum, wherever it stands
        def self.named(extra) = extra.values_at("name", "amount").join(" ~ ")

        # @param asked [Reckoning::Account::Asked]
        # @return [String] what a field shows
        def self.shown(name, _kept, asked)
          case name
          when "fitted" then asked.fitted.to_s
          when "travel" then Words.money(asked.travel.to_r)
          else ""
          end
        end

        private

        def shown(name) = AccountForm.shown(name, @now, @asked)

        def called(name) = Words.say("account.fields.#{name}")

        def count(name)
          return if typed[name].empty?

          typed[name].match?(/\A\d{1,3}\z/) ? Integer(typed[name], 10) : refuse(name, :not_a_count)
        end

        def amount(name)
          return if typed[name].empty?

          if typed[name].match?(AMOUNT) && !typed[name].start_with?("-")
            typed[name].tr(",", ".")
          else
            refuse(name, :not_money)
          end
        end

        # What there is, without one that is taken away, with one that is new.
        def extras(there, away)
          gone = there.find { |extra| AccountForm.named(extra) == away }
          left = there.reject { |extra| extra.equal?(gone) }
          name, sum = typed.values_at("extra_name", "extra_amount")
          return left if name.empty? && sum.empty?
          return refuse("extra_name", :missing) || left if name.empty? || name.size > LONGEST
          return refuse("extra_amount", :not_money) || left unless sum.match?(AMOUNT)

          left + [{"name" => name, "amount" => R::Money.read(sum.tr(",", ".")).to_s}]
        end
      end
    end
  end
end
