# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a workroom decides once for all its work, beside the allowances of its sets: how far layers hang apart,
    # what stays clear of worktops and heat, how thick a fold is when the curtain is drawn back, how finely inches are
    # shown, what it does with selvedges where nothing else is said of a cloth, how large its table is, from what
    # length an offcut is kept, with what and on what it cuts, by what hems and sides are sewn, how far a pair may
    # differ, and from what mass (in kg) two people lift; its standard times, what it asks for its work, and when it
    # works.
    class HouseRules < Value.define(
      :layer_gap,
      :clearance,
      :heat_gap,
      :fold_unlined,
      :fold_lined,
      :fold_interlined,
      :inch_fraction,
      :selvedges,
      :table_length,
      :table_width,
      :offcut_least,
      :cutter,
      :cut_on,
      :stitching,
      :pair_tolerance,
      :lift_limit,
      :times,
      :account,
      :diary
    )
      FRACTIONS = %w[8 16].freeze
      SELVEDGES = %w[cut_off in_seam].freeze
      CUTTERS = %w[shears rotary heat].freeze
      CUT_ON = %w[table floor].freeze
      STITCHINGS = %w[hand machine].freeze
      FIELDS = Fields.new(
        layer_gap: Declare.length(Length.mm(20)),
        clearance: Declare.length(Length.mm(15)),
        heat_gap: Declare.length(Length.mm(150)),
        fold_unlined: Declare.length(Length.mm(15), least: :over_zero),
        fold_lined: Declare.length(Length.mm(22), least: :over_zero),
        fold_interlined: Declare.length(Length.mm(32), least: :over_zero),
        inch_fraction: Declare.choice(FRACTIONS, "16", said: "house"),
        selvedges: Declare.choice(SELVEDGES, "cut_off", said: "house"),
        table_length: Declare.length(Length.mm(3000), least: :over_zero),
        table_width: Declare.length(Length.mm(1500), least: :over_zero),
        offcut_least: Declare.length(Length.mm(300)),
        cutter: Declare.choice(CUTTERS, "shears", said: "house"),
        cut_on: Declare.choice(CUT_ON, "table", said: "house"),
        stitching: Declare.choice(STITCHINGS, "hand", said: "house"),
        pair_tolerance: Declare.length(Length.mm(3), least: :over_zero),
        lift_limit: Declare.number(12r, over: 0, most: 1000),
        times:
          Declare.record(MakingUp::StandardTimes::FIELDS, MakingUp::StandardTimes::USUAL) do |values, _|
            MakingUp::StandardTimes.new(**values)
          end,
        account: Declare.record(Account::Rules::FIELDS, Account::USUAL) { |values, _| Account::Rules.new(**values) },
        diary: Declare.record(Diary::Rules::FIELDS, Diary::USUAL) { |values, _| Diary::Rules.new(**values) }
      )

      # What is a page of rules by itself.
      BOOKS = %i[times account diary].freeze

      # Much is remembered by the rules it was made with: their own hash is reckoned once.
      def initialize(**values)
        @hash = values.hash
        super
      end

      attr_reader :hash

      # @param raw [Hash] plain values
      # @param unit [Unit]
      # @return [HouseRules]
      # @raise [Invalid]
      #
      #   HouseRules.read({"stitching" => "machine"}, Units::CM).stitching # => "machine"
      def self.read(raw, unit)
        problems = Problems.new
        values = FIELDS.read(raw, unit, problems)
        problems.raise_any
        new(**values)
      end

      # Of what is kept: what of it can't be read stands as it begins, so that one figure doesn't shut the house.
      # @param raw [Hash] plain values
      # @param unit [Unit]
      # @return [Array(HouseRules, Array<String>)] with the fields that can't be read: "account.tax_percent"
      #
      #   HouseRules.as_far_as_read({"table_length" => "long"}, Units::CM).last # => ["table_length"]
      def self.as_far_as_read(raw, unit)
        problems = Problems.new
        values = FIELDS.read(raw, unit, problems)
        return [new(**values), []] if values

        unread = problems.to_a.map { |problem| field_at(problem.at, raw) }.uniq
        [read(unread.reduce(raw) { |left, path| without(left, path) }, unit), unread]
      end

      def self.field_at(place, raw)
        name, inner = place.split("/")[1, 2]
        (inner && raw[name].is_a?(Hash)) ? "#{name}.#{inner}" : name
      end

      def self.without(raw, path)
        name, inner = path.split(".")
        inner ? raw.merge(name => raw[name].except(inner)) : raw.except(name)
      end
      private_class_method :field_at, :without

      # @param treatment [Treatment]
      # @return [Length] what one fold takes when the curtain is drawn back
      #
      #   house.fold(treatment) # => 15 mm
      def fold(treatment)
        return fold_interlined if treatment.interlining

        treatment.lining ? fold_lined : fold_unlined
      end

      # @param name [String] "mm", "cm" or "in"
      # @return [Unit] with inches as finely as the house shows them
      #
      #   house.unit("in").fraction # => 16
      def unit(name) = (name == "in" && inch_fraction == "8") ? Units::IN_EIGHTHS : Units.fetch(name)
    end

    HouseRules::USUAL = HouseRules.read({}, Units::MM)
  end
end
