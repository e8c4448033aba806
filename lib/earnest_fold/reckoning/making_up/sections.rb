# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module MakingUp
      # A curtain that is wider than the table is worked in sections from its leading edge.
      module Sections
        module_function

        # @param curtain [Curtain]
        # @param table [Length] its length
        # @return [Array<Length>] where each section ends, from the leading edge, the last at the return: at the last
        #   seam that still lies on the table where there is one, as what is coated may be pinned at a seam alone
        #
        #   MakingUp::Sections.of(curtain, Length.mm(3000)).last == curtain.flat_width # => true
        def of(curtain, table)
          ends, from = [], Length::ZERO
          until from + table >= curtain.flat_width
            from = curtain.task.seams.select { |seam| seam > from && seam <= from + table }.max || from + table
            ends << from
          end
          ends << curtain.flat_width
        end
      end
    end
  end
end
