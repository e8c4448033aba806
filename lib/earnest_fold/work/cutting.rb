# frozen_string_literal: true

module EarnestFold
  module Work
    # The cloths of a job as they are to be cut: what is wanted of each, the pieces there are, what lies at the table
    # and what is made. Everything that it needs of the store is asked for at once.
    class Cutting
      # @return [Job]
      attr_reader :sheet

      # @param sheet [Job]
      # @param workroom [Store::Workroom]
      # @param patience [Numeric, nil] seconds until a plan is left to the queue; nil: it takes as long as it takes
      def self.of(sheet, workroom, patience: nil)
        there = workroom.at_cutting.find(sheet.job.id, sheet.cloths_needed.map { |made| Integer(made.cloth.id, 10) })
        maker = PlanMaker.new(workroom, sheet.job.id, patience: patience)
        new(sheet, there.pieces, there.table, there.wishes, maker)
      end

      # @param pieces [Array<Store::Records::Piece>]
      # @param table [Store::Records::AtTable]
      # @param wishes [Hash{Integer => Hash}] by cloth
      # @param maker [PlanMaker]
      def initialize(sheet, pieces, table, wishes, maker)
        @sheet, @pieces, @table, @wishes, @maker = sheet, pieces, table, wishes, maker
      end

      # @return [Array<ClothCutting>] every cloth of the job
      def cloths
        @cloths ||= sheet.cloths_needed.map do |made|
          id = Integer(made.cloth.id, 10)
          ClothCutting.new(
            sheet,
            made,
            @pieces.select { |piece| piece.cloth_id == id },
            plan: @table.open[id],
            cuts: @table.of(id),
            wanted: @wishes.fetch(id, {}),
            maker: @maker
          )
        end
      end

      # @param id [Integer]
      # @return [ClothCutting]
      # @raise [Store::Missing]
      def cloth(id) = cloths.find { |one| one.id == id } || raise(Store::Missing, "no cloth #{id} in this job")

      # @param reckoning [Reckoning::TreatmentReckoning]
      # @return [Array<ClothCutting>] those that it is made of, face first
      def of_treatment(reckoning) = reckoning.treatment.cloths.map(&:id).uniq.map { |id| cloth(Integer(id, 10)) }
    end
  end
end
