# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The other tape: which unit to show, and which page of the application to go back to.
      class UnitForm
        BACK = %r{\A/jobs/\d+(/treatments/\d+/(measure|heading|cloth|compare|cutting|ticket|changes))?\z}

        def initialize(params)
          @params = params
        end

        # @return [String]
        # @raise [Store::Missing] for one that isn't known
        def unit = Reckoning::Units::ALL.key?(@params["unit"]) ? @params["unit"] : raise(Store::Missing, "no such unit")

        # @return [String] never a place outside
        def back(otherwise) = BACK.match?(@params["back"].to_s) ? @params["back"] : otherwise
      end
    end
  end
end
