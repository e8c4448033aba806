# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The workroom's cloths.
      class Cloths
        attr_reader :unit, :records

        # @param records [Array<Store::Records::Cloth>]
        def initialize(records, unit)
          @records, @unit = records, unit
        end

        def page_title = Words.say("cloths.title")

        # @return [Array<Array(Store::Records::Cloth, Reckoning::Cloth)>]
        def cloths = records.map { |record| [record, Work::Reader.cloth(record, unit)] }
      end
    end
  end
end
