# frozen_string_literal: true

module EarnestFold
  module Work
    # One work that nobody keeps, as if it were a job's: reckoned by the same house, cloths and rules, before there is
    # any job. Its cloths may be typed instead of taken from the workroom's.
    class Quick
      # Under these the typed cloths are known; no cloth that is kept has such an id.
      FACE, LINING, INTERLINING = 0, -1, -2

      # @return [Job] with that work alone
      attr_reader :job

      # @param settled [Store::House::Record]
      # @param cloth_records [Array<Store::Records::Cloth>] the workroom's, and typed ones
      # @param unit [Reckoning::Unit]
      # @param spec [Hash]
      def initialize(settled, cloth_records, unit, spec)
        sort = spec.key?("kind") ? Station::ALTERED : Station::MADE
        @job = Job.new(Store::Unkept.job(unit, sort, spec), cloth_records, settled)
      end

      # @return [Treatment, Alteration]
      #
      #   Work::Quick.new(settled, cloths_kept, Units::CM, work.record.spec).work.reckoning.widths_total # => 4
      def work = job.works.first
    end
  end
end
