# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What the steps of a heading are made from where it is put on a panel that came made: its sides and its hem are
      # there, and there is no cloth for anything beside it.
      # @api private
      PanelCase = Value.define(:made, :house) do
        # @return [Heading] the new one
        #
        #   MakingUp::PanelCase.new(made: own.reckoning, house: house).side.kind # => "none"
        def heading = made.alteration.heading

        # @return [OwnCurtain] as far as its cloth was asked
        def face = made.curtain

        # @return [Array<Array(String, Curtain)>] each with its name: they are alike
        def each_curtain = made.curtain.hands.map { |hand| [hand, made.alteration.headed] }

        # @return [Array<Curtain>] from left to right
        def curtains = each_curtain.map(&:last)

        # @return [Boolean] whether there is more than one to be alike
        def pair? = made.pair?

        # @return [Length] what the top takes
        def top = heading.top_allowance(NothingCut::SUPPORT)

        # @return [Allowance] none: its sides are made
        def side = Allowance::NONE

        # @return [Array<Mark>] where things are set along the heading, from the leading edge
        def marks(curtain) = heading.marks(curtain.task, curtain.heading)

        # @return [Panel] what it is made of
        def treatment = Panel.new(lining: made.curtain.lined ? made.curtain : nil, support: NothingCut::SUPPORT)

        # @return [PanelFigures] what is reckoned beside it
        def reckoning = PanelFigures.new
      end
      # The layers of a panel, and what it hangs from.
      Panel = Value.define(:lining, :support)
      # What a panel has beside its heading: nothing but the length of what stiffens its top.
      # @api private
      PanelFigures = Value.define do
        # @return [nil] there is no cloth for one
        def frill(_curtain) = nil

        # @param curtain [Curtain]
        # @return [Length] along its top
        def stiffening_length(curtain) = curtain.flat_width
      end
    end
  end
end
