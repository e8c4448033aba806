# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # The small parts that a job's cloths have to give: those that were asked for, and what its treatments have beside
      # their curtains: the tabs that headings count, the frills above their tapes, their tiebacks.
      module PartsWanted
        # Under such ids stands what comes with a treatment.
        OWN = "with-"
        private_constant :OWN

        module_function

        # @param asked [Array<SmallPartOfJob>]
        # @param reckonings [Array<TreatmentReckoning>]
        # @return [Hash{String => Array<SmallPartOfJob>}] by the cloth's id
        #
        #   Cutting::PartsWanted.by_cloth([part_of_job("frill")], [reckoning]).keys # => ["plain"]
        def by_cloth(asked, reckonings)
          first = reckonings.first&.treatment&.face&.id
          (asked + reckonings.flat_map { |made| of(made) }).group_by { |one| one.cloth || first }
        end

        # @param made [TreatmentReckoning]
        # @return [Array<SmallPartOfJob>] what it has beside its curtains: tabs of its face, frills and tiebacks of what
        #   they are trimmed from
        #
        #   Cutting::PartsWanted.of(headed("tab_top").reckon).map(&:id) # => ["with-tabs-office"]
        def of(made)
          parts = {"tabs" => tabs(made), "tieback" => made.tieback}.compact
          frills(made).each_with_index { |frill, index| parts["frill#{index + 1}"] = frill }
          parts.map do |name, part|
            cloth = (name == "tabs") ? made.treatment.face : made.treatment.trimmed_from
            SmallPartOfJob.new(id: "#{OWN}#{name}-#{made.id}", part: part, cloth: cloth.id)
          end
        end

        # @param id [String] of a small part
        # @return [Boolean] whether it comes with a treatment, so that it isn't taken away by itself
        #
        #   Cutting::PartsWanted.own?("with-tabs-office") # => true
        def own?(id) = id.start_with?(OWN)

        # The tabs of a heading that has them, as many as its layout counts; nil where the pole isn't known.
        # @return [Tab, nil]
        #
        #   Cutting::PartsWanted.tabs(headed("tab_top").reckon).count # => 36
        def tabs(made)
          diameter = made.treatment.support.diameter or return
          tabs = made.treatment.heading.tabs(made.curtains.map(&:heading)) or return
          Tab.new(diameter: diameter, seam: made.treatment.making.seam, **tabs)
        end

        # @return [Array<Frill>] those of curtains that are alike together
        #
        #   Cutting::PartsWanted.frills(reckoning) # => []
        def frills(made)
          made.curtains
            .filter_map { |curtain| made.frill(curtain) }
            .tally
            .map { |frill, count| frill.with(count: count) }
        end
      end
    end
  end
end
