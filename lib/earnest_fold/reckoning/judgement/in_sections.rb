# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A cut longer or wider than the table is marked in sections, the running figures carried on.
      module InSections
        CODE = "in_sections"
        STATION = "cutting"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          sections(seen.cutting, seen.house) if seen.cutting
        end

        def self.sections(cut, house)
          return {form: :long, length: cut.length, table: house.table_length, sections: (cut.length / house.table_length).ceil} if cut.length > house.table_length

          {form: :wide, width: cut.cloth.width, table: house.table_width} if cut.cloth.width > house.table_width
        end
      end

      Rules.register(InSections::CODE, InSections)
    end
  end
end
