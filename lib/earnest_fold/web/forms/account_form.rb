# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # By which school a job's work is priced, and what is asked for beside it: fitting, the way, and something else.
      class AccountForm < FieldForm
        FIELDS = R::Fields.new(
          fitted: R::Declare.count(nil, least: 0, most: 999),
          travel: [R::FieldKinds::MoneyKind.new, nil],
          agreed: [R::FieldKinds::MoneyKind.new, nil]
        )
        SCHOOL = R::Field.new(
          name: :school, kind: R::FieldKinds::ChoiceKind.new(words: R::Account::Rules::SCHOOLS, said: "account.by"),
          default: nil
        )
        NEW = %w[extra_name extra_amount].freeze
        PAID = %w[payment_name payment_amount].freeze
        NAMES = (FIELDS.names.map(&:to_s) + NEW).freeze
        # What is typed anew each time: nothing of it stands there.
        TYPED = (NEW + PAID).freeze
        AMOUNT = /\A-?\d{1,9}(\.\d{1,2})?\z/
        LONGEST = 80
        # @return [Hash] as it is to be kept
        attr_reader :account

        # @param kept [Hash] as it is kept now
        # @param asked [Reckoning::Account::Asked] what that comes to
        # @param params [Hash, nil] nil before anything was typed
        # @param today [String, nil] the day on which what is paid now was paid
        def initialize(kept, asked, params, today: nil)
          super(params, R::Units::CM)
          @asked, @today = asked, today
          made = [*FIELDS.names.map(&:to_s), "school"].reduce(kept) { |account, name| taken(account, name) }
          @account = made.merge(
            "extras" => listed(kept["extras"], @params["away"], NEW) { |name, sum| {"name" => name, "amount" => sum} },
            "payments" => listed(kept["payments"], @params["unpaid"], PAID) { |name, sum|
              {"on" => @today, "name" => name, "amount" => sum}
            }
          )
        end

        # @return [String] by which an extra is named where it is taken away: its own words and sum, wherever it stands
        def self.named(extra) = extra.values_at("on", "name", "amount").compact.join(" ~ ")

        def shown(name) = TYPED.include?(name) ? "" : super

        def field(name) = (name == "school") ? SCHOOL : FIELDS.fetch(name.to_sym)

        def most(name) = TYPED.include?(name) ? LONGEST : super

        # What is added may be taken off again: its amount has a sign.
        def plain?(name) = !TYPED.include?(name) && super

        private

        # What the house asks where nothing is said of this job.
        def kept(name) = (value = @asked.public_send(name)).nil? ? nil : kind(name).kept_of(value)

        def called(name) = Words.say("account.fields.#{name}")

        def emptied(account, _name, key) = account.merge(key => nil)

        # What there is, without one that is taken away, with one that is new.
        # @param there [Array<Hash>]
        # @param away [String, nil] which is taken away
        # @param fields [Array(String, String)] where the words and the sum of a new one are typed
        # @yieldparam name [String]
        # @yieldparam sum [String] as it is kept
        def listed(there, away, fields)
          gone = there.find { |one| AccountForm.named(one) == away }
          left = there.reject { |one| one.equal?(gone) }
          name, sum = fields.map { |typed| said(typed).to_s }
          return left if name.empty? && sum.empty?

          sum = R::FieldKinds::Written.money(sum)
          return refuse(fields.first, :missing) || left if name.empty? || name.size > LONGEST
          return refuse(fields.last, :not_money) || left unless sum.match?(AMOUNT)

          left + [yield(name, R::Money.read(sum).to_s)]
        end
      end
    end
  end
end
