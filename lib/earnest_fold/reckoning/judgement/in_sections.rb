# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A cut longer or wider than the table is marked in sections, the running figures carried on.
      module InSections
        CODE = "in_sections"
        STATION = %w[cutting making].freeze
        STEP = "lay_out_cuts"
        MANNER = :say

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        def self.call(seen)
          sections(seen.cutting || laid_out(seen), seen.house) if seen.cutting || seen.reckoning
        end

        # What lies on the table before it is made up.
        def self.laid_out(seen) =
          CutCase.new(
            cloth: seen.treatment.face,
            length: seen.reckoning.cut_drop,
            measured: nil,
            batches: [],
            first_on_piece: false,
            first_of_treatment: false,
            first_on_cloth: false,
            leftover: nil
          )

        def self.sections(cut, house)
          if cut.length > house.table_length
            return (
              {
                form: :long,
                length: cut.length,
                table: house.table_length,
                sections: (cut.length / house.table_length).ceil
              }
            )
          end

          {form: :wide, width: cut.cloth.width, table: house.table_width} if cut.cloth.width > house.table_width
        end
      end

      register(InSections)
    end
  end
end
