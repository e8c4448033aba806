# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What steps are made from: a treatment reckoned, and what the house decides.
      MakingCase = Value.define(:reckoning, :house) do
        # @return [Treatment]
        #
        #   making_case.treatment.id # => "office"
        def treatment = reckoning.treatment

        # @return [MakingMethod] by which it is made
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).order_of_work.name # => "unlined_hem_first"
        def order_of_work = treatment.order_of_work

        # @return [Heading]
        #
        #   making_case.heading.taped? # => true
        def heading = treatment.heading

        # @return [Making]
        #
        #   making_case.making.seam # => 15 mm
        def making = treatment.making

        # @return [Allowance]
        #
        #   making_case.hem.taken # => 160 mm
        def hem = making.hem

        # @return [Allowance]
        #
        #   making_case.side.taken # => 50 mm
        def side = making.side

        # @return [Cloth]
        #
        #   making_case.face.id # => "plain"
        def face = treatment.face

        # @return [Length] finished
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).drop # => 2128 mm
        def drop = reckoning.finished_drop

        # @return [Array<Curtain>] from left to right
        #
        #   making_case.curtains.map(&:hand) # => ["left", "right"]
        def curtains = reckoning.curtains

        # @return [Array<Array(String, Curtain)>] each with its name
        #
        #   making_case.each_curtain.map(&:first) # => ["left", "right"]
        def each_curtain = curtains.map { |curtain| [curtain.hand, curtain] }

        # @return [Boolean] whether a second curtain is to be the like of the first
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).pair? # => true
        def pair? = curtains.size > 1

        # @return [LiningCut, nil]
        #
        #   making_case(lined.reckon).lining.cloth.id # => "sateen"
        def lining = reckoning.lining

        # @return [Boolean] whether the order of work has that step, applied or not
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).step?("join_widths") # => true
        def step?(code) = order_of_work.codes(heading).include?(code)

        # @return [Boolean] whether the order has both steps, the one before the other
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).before?("join_widths", "press_hem") # => true
        def before?(one, other)
          places = [one, other].map { |code| order_of_work.codes(heading).index(code) }
          places.all? && places.first < places.last
        end

        # @param edge [Symbol] :hem or :side
        # @return [Symbol] :hand or :machine: as the method says, as a stage's curtain is, else as the house does
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).sewn(:hem) # => :hand
        def sewn(edge)
          order_of_work.sewn.fetch(edge) { heading.sewn_by_machine? ? :machine : house.stitching.to_sym }
        end

        # @return [String] what weighs the foot
        #
        #   making_case.weighting # => "corners_and_seams"
        def weighting = treatment.weighting

        # @return [Boolean] whether weights are put in piece by piece
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).weights? # => true
        def weights? = curtains.any? { |curtain| treatment.weights(curtain).positive? }

        # @return [Length] what the top takes
        #
        #   MakingUp::MakingCase.new(reckoning: reckoning, house: house).top # => 40 mm
        def top = heading.top_allowance(treatment.support)

        # @return [Integer, nil] over how many widths a wide curtain is done one by one; nil where it isn't wide
        #
        #   making_case.width_by_width(curtain) # => nil
        def width_by_width(curtain) = (curtain.widths.ceil >= WIDE) ? curtain.widths.ceil : nil

        # @return [Array<Mark>] where things are set along the heading, from the leading edge
        #
        #   making_case(lined.reckon).marks(lined.reckon.curtains.first).size # => 21
        def marks(curtain) = heading.marks(curtain.task, curtain.heading)
      end
      # From so many widths on a curtain is laid width by width.
      WIDE = 3
    end
  end
end
