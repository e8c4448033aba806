# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Judgement
      # A cut longer or wider than the table is marked in sections, the running figures carried on.
      module InSections
        CODE = "in_sections"
        STATION = %w[cutting making].freeze
        MANNER = :say
        ON = Judgement.on(:lay, at: :cut)

        # @param seen [JudgementCase]
        # @return [Hash, nil]
        #
        #   Judgement::InSections.call(seen) # => nil
        def self.call(seen)
          sections(seen.cutting.length, seen.cutting.cloth.width, seen.house) if seen.cutting
        end

        # What lies on the table before it is made up.
        # @return [Hash, nil]
        #
        #   touch = Touch.new(step: steps.first, operation: nil, layer: :face, material: cloth)
        #   Judgement::InSections.touched(seen, touch) # => nil
        def self.touched(seen, touch) = sections(touch.figures[:cut_drop], seen.treatment.face.width, seen.house)

        def self.sections(length, width, house)
          if length > house.table_length
            return (
              {
                form: :long,
                length: length,
                table: house.table_length,
                sections: (length / house.table_length).ceil
              }
            )
          end

          {form: :wide, width: width, table: house.table_width} if width > house.table_width
        end
        private_class_method :sections
      end

      register(InSections)
    end
  end
end
