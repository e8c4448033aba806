# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The other tape: which unit to show, and which page of the application to go back to.
      class UnitForm
        def initialize(params)
          @params = params
        end

        # @return [String]
        # @raise [Store::Missing] for one that isn't known
        def unit = Reckoning::Units::ALL.key?(@params["unit"]) ? @params["unit"] : raise(Store::Missing, "no such unit")

        # @return [String] never a place outside
        def back(otherwise) = Paths.back_to_job(@params["back"]) || otherwise
      end
    end
  end
end
