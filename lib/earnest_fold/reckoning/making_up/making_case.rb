# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # What steps are made from: a treatment reckoned, and the house's schools.
      MakingCase = Value.define(:reckoning, :house) do
        def treatment = reckoning.treatment

        def heading = treatment.heading

        def making = treatment.making

        def curtains = reckoning.curtains

        # @return [Boolean] whether a second curtain is to be the like of the first
        def pair? = curtains.size > 1

        def lined? = !reckoning.lining.nil?

        # @return [Boolean] lined, and the lining sewn to the face at the sides
        def bagged? = lined? && house.lining_school == "bagged"

        # @return [Boolean] lined, and the lining laid and trimmed with the face on the table
        def tabled? = lined? && house.lining_school == "tabled"

        def by_hand? = house.stitching == "hand"

        # @return [Boolean] whether a tape, a cord or hooks dictate the flat width
        def dictated? = heading.folds_dictated?

        # @return [Length] what the top takes
        def top = heading.top_allowance(treatment.support)

        # @return [Array<Mark>] where things are set along the heading, from the leading edge
        def marks(curtain) = heading.marks(curtain.task, curtain.heading)
      end
    end
  end
end
