# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module FieldKinds
      # Figures as people write them, as they are kept: halves written as fractions, amounts with their currency's sign
      # or with thousands apart. What can't be meant as a figure, or may be meant as two, comes back as it was typed, to
      # be told at its field.
      module Written
        FRACTION = %r{\A(?:\d+[ -])?\d+/\d+\z}
        # So many decimals are kept of a fraction; one that needs more is none that anybody means.
        PLACES = 4
        DECIMAL = /\A-?\d+(?:\.\d+)?\z/
        AROUND_MONEY = /[\p{Sc}\p{Space}]/
        # The last of two different marks is the decimal one: "1,250.00", "1.250,00".
        THOUSANDS = /\A-?\d{1,3}(?:(?<apart>[.,])\d{3})(?:\k<apart>\d{3})*(?!\k<apart>)[.,]\d{1,2}\z/

        # Three figures behind one mark: thousands to some, decimals to others.
        EITHER = /\A(?<whole>-?[1-9]\d{0,2})(?<mark>[.,])(?<behind>\d{3})(?![\d.,])/

        module_function

        # @param typed [String]
        # @return [String]
        #
        #   FieldKinds::Written.number("2½")    # => "2.5"
        #   FieldKinds::Written.number("2 1/3") # => "2 1/3"
        def number(typed)
          plain = LengthReader.tidy(typed)
          return typed unless plain.match?(FRACTION)

          value = LengthReader.number(plain)
          steps = value && value * 10**PLACES
          (steps && steps.denominator == 1) ? LengthWriter.decimal(steps.numerator, PLACES).sub(/\.?0+\z/, "") : typed
        end

        # By the clock, or with its unit: "1:20", "1 h 20", "2 h", "12½ min".
        HOURS = /\A(?<hours>\d{1,3})\s*(?::\s*(?<minutes>[0-5]\d)|h(?:ours?)?\s*(?:(?<minutes>[0-5]?\d)\s*(?:min)?)?)\z/
        UNIT = /\s*min(?:utes?|s)?\.?\z/

        # @param typed [String] how long something took
        # @return [String] the same in minutes
        #
        #   FieldKinds::Written.minutes("1:20")  # => "80"
        #   FieldKinds::Written.minutes("12½ min") # => "12.5"
        def minutes(typed)
          plain = typed.strip.downcase
          hours = HOURS.match(plain) or return number(plain.sub(UNIT, ""))
          (Integer(hours[:hours], 10) * 60 + hours[:minutes].to_i).to_s
        end

        # @param text [String] as it was typed, or as it is kept
        # @param marks [String] that may part thousands there
        # @return [Array(Symbol, Hash), nil] the doubt (see {Kind#doubt}): by `offer` it has thousands
        #
        #   FieldKinds::Written.doubt("1,250")[1][:offer] # => "1250"
        def doubt(text, marks = ",")
          found = EITHER.match(text)
          return unless found && marks.include?(found[:mark])

          less = "#{found[:whole]}.#{found[:behind].sub(/0+\z/, "")}".delete_suffix(".")
          [:read_either_way, {given: found.to_s, less: less, offer: text.sub(found[:mark], "")}]
        end

        # @param typed [String]
        # @return [String] with a point, without anything round it
        #
        #   FieldKinds::Written.money("£1,250.00") # => "1250.00"
        #   FieldKinds::Written.money("18,5 €")    # => "18.5"
        def money(typed)
          plain = bare(typed)
          return typed if doubt(plain)

          apart = THOUSANDS.match(plain)&.[](:apart)
          decimal = (apart ? plain.delete(apart) : plain).tr(",", ".")
          decimal.match?(DECIMAL) ? decimal : typed
        end

        # @param typed [String] an amount
        # @return [String] without its currency's sign and without spaces
        #
        #   FieldKinds::Written.bare("− 12 €") # => "-12"
        def bare(typed) = typed.gsub(AROUND_MONEY, "").tr("\u2212", "-")
      end
    end
  end
end
