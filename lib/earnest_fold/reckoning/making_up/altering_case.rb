# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What the steps of an alteration are made from: the curtain that is altered, how, and the house's schools.
      AlteringCase = Value.define(:made, :house) do
        # @return [Alteration]
        #
        #   altering_case.alteration.kind # => "shorten_at_hem"
        def alteration = made.alteration

        # @return [OwnCurtain]
        #
        #   altering_case.curtain.curtains # => 1
        def curtain = made.curtain

        # @return [Array<String>] one for each curtain
        #
        #   altering_case.hands # => ["single"]
        def hands = curtain.hands

        # @return [Boolean] whether there is more than one to be alike
        #
        #   altering_case.pair? # => false
        def pair? = made.pair?

        # @return [Array<AlterLine>]
        #
        #   altering_case.lines.map(&:name) # => [:new_fold, :first_press, :cut_line]
        def lines = made.lines

        # @return [Array<Array(String, OwnCurtain)>] each with its name: they are alike
        #
        #   altering_case.each_curtain.map(&:first) # => ["single"]
        def each_curtain = hands.map { |hand| [hand, curtain] }

        # @return [Symbol] :hand or :machine: as it was said of this curtain, else as the house does
        #
        #   altering_case.sewn # => :hand
        def sewn
          said = alteration.sewn_by if alteration.respond_to?(:sewn_by)
          (said || house.stitching).to_sym
        end

        # @return [Rational] metres across one curtain, with every cloth that it is made of
        #
        #   altering_case.across # => (13/10)
        def across = alteration.across(curtain).mm / 1000 * alteration.cloths_joined(curtain)

        # @return [Length]
        #
        #   altering_case.as_it_came # => 2410 mm
        def as_it_came = alteration.as_it_came(curtain)

        # @return [Boolean] whether its old hem is let down
        #
        #   altering_case.let_down? # => false
        def let_down? = alteration.respond_to?(:let_down) && alteration.let_down

        # @return [Boolean] whether it can't lie on the table whole
        #
        #   altering_case.longer_than_the_table? # => false
        def longer_than_the_table? = alteration.extent(curtain) > house.table_length

        # @return [AlterLine, nil] the one that decides: where it is cut, else where it is sewn
        #
        #   altering_case.main_line.name # => :cut_line
        def main_line =
          lines.find { |line| line.name == :cut_line } || lines.find { |line| %i[cut sew].include?(line.deed) } ||
            lines.first

        # @return [Hash{Symbol => Length}] the one that decides first
        #
        #   altering_case.lines_by_name.keys # => [:cut_line, :new_fold, :first_press]
        def lines_by_name = [main_line, *(lines - [main_line])].compact.to_h { |line| [line.name, line.at] }
      end
    end
  end
end
