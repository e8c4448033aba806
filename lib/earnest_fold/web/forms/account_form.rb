# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a job is asked for beside its work: fitting, the way, and something else.
      class AccountForm
        include Refusing

        R = Reckoning
        NAMES = %w[fitted travel extra_name extra_amount].freeze
        AMOUNT = /\A-?\d{1,9}([.,]\d{1,2})?\z/
        LONGEST = 80
        attr_reader :typed, :kept

        # @param kept [Hash] as it is kept now
        # @param params [Hash]
        def initialize(kept, params)
          @typed = NAMES.to_h { |name| [name, params[name].to_s.strip] }
          @kept = kept.merge("fitted" => count("fitted"), "travel" => amount("travel"), "extras" => extras(kept["extras"], params["away"]))
          @kept = @kept.merge("school" => params["school"]) if R::Account::Rules::SCHOOLS.include?(params["school"])
        end

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

        def count(name)
          return if typed[name].empty?

          typed[name].match?(/\A\d{1,3}\z/) ? Integer(typed[name], 10) : refuse(name, :not_a_count)
        end

        def amount(name)
          return if typed[name].empty?

          (typed[name].match?(AMOUNT) && !typed[name].start_with?("-")) ? typed[name].tr(",", ".") : refuse(name, :not_money)
        end

        # What there is, without one that is taken away, with one that is new.
        def extras(there, away)
          left = there.reject.with_index { |_, index| index.to_s == away }
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
