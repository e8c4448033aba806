# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a job is asked for beside its work: fitting, the way, and something else.
      class AccountForm < FieldForm
        FIELDS = R::Fields.new(
          fitted: R::Declare.count(nil, least: 0, most: 999),
          travel: [R::FieldKinds::MoneyKind.new, nil]
        )
        NEW = %w[extra_name extra_amount].freeze
        NAMES = (FIELDS.names.map(&:to_s) + NEW).freeze
        AMOUNT = /\A-?\d{1,9}([.,]\d{1,2})?\z/
        LONGEST = 80
        # @return [Hash] as it is to be kept
        attr_reader :account

        # @param kept [Hash] as it is kept now
        # @param asked [Reckoning::Account::Asked] what that comes to
        # @param params [Hash, nil] nil before anything was typed
        def initialize(kept, asked, params)
          super(params, R::Units::CM)
          @asked = asked
          made = FIELDS.names.map(&:to_s).reduce(kept) { |account, name| taken(account, name) }
          made = made.merge("extras" => extras(kept["extras"], @params["away"]))
          school = @params["school"]
          @account = R::Account::Rules::SCHOOLS.include?(school) ? made.merge("school" => school) : made
        end

        # @return [String] by which an extra is named where it is taken away: its own words and sum, wherever it stands
        def self.named(extra) = extra.values_at("name", "amount").join(" ~ ")

        def shown(name) = NEW.include?(name) ? "" : super

        def field(name) = FIELDS.fetch(name.to_sym)

        private

        # What the house asks where nothing is said of this job.
        def kept(name) = kind(name).kept_of(@asked.public_send(name))

        def called(name) = Words.say("account.fields.#{name}")

        def emptied(account, _name, key) = account.merge(key => nil)

        # What there is, without one that is taken away, with one that is new.
        def extras(there, away)
          gone = there.find { |extra| AccountForm.named(extra) == away }
          left = there.reject { |extra| extra.equal?(gone) }
          name, sum = NEW.map { |typed| said(typed).to_s }
          return left if name.empty? && sum.empty?
          return refuse("extra_name", :missing) || left if name.empty? || name.size > LONGEST
          return refuse("extra_amount", :not_money) || left unless sum.match?(AMOUNT)

          left + [{"name" => name, "amount" => R::Money.read(sum.tr(",", ".")).to_s}]
        end
      end
    end
  end
end
