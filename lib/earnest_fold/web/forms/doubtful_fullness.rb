# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A fullness that was typed and can hardly be meant: a percentage in all that would leave the curtain narrower
      # than it hangs, or a bare number that is a percentage without its sign. Makers mean either, so it is asked, and
      # nothing is taken until it is said.
      module DoubtfulFullness
        R = Reckoning
        # Nobody makes a curtain fuller.
        FULLEST = 10

        module_function

        # @param value [String, Hash] as it would be stored
        # @return [Array(Symbol, Hash), nil] what is asked, with what may be meant (`offer`, as it would be typed);
        #   nil where it is plain, or no number at all
        def of(value)
          number = R::Exact.read(value.is_a?(Hash) ? value["percent_total"] : value)
          return unless number&.positive?
          return (of_percentage(number) if number < 100) if value.is_a?(Hash)
          return [:under_one, {ratio: number}] if number < 1

          of_many(number) if number > FULLEST
        end

        def of_percentage(percent) =
          [:added_or_in_all, {percent: percent, added: 1 + percent / 100, offer: "+#{Words.number(percent)} %"}]

        def of_many(ratio)
          if ratio < 100
            return :so_many_times, {ratio: ratio, added: 1 + ratio / 100, offer: "+#{Words.number(ratio)} %"}
          end

          [:in_all_or_times, {ratio: ratio, total: ratio / 100, offer: "#{Words.number(ratio)} %"}]
        end
      end
    end
  end
end
