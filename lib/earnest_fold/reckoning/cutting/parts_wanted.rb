# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # The small parts that a job's cloths have to give: those that were asked for, and the tabs that headings count.
      module PartsWanted
        module_function

        # @param asked [Array<SmallPartOfJob>]
        # @param reckonings [Array<TreatmentReckoning>]
        # @return [Hash{String => Array<SmallPartOfJob>}] by the cloth's id
        def by_cloth(asked, reckonings)
          first = reckonings.first&.treatment&.face&.id
          (asked + reckonings.filter_map { |made| tabs(made) }).group_by { |one| one.cloth || first }
        end

        # The tabs of a heading that has them, as many as its layout counts; nil where the pole isn't known.
        # @return [SmallPartOfJob, nil]
        def tabs(made)
          diameter = made.treatment.support.diameter or return
          tabs = made.treatment.heading.tabs(made.curtains.map(&:heading)) or return
          part = Tab.new(diameter: diameter, seam: made.treatment.making.seam, **tabs)
          SmallPartOfJob.new(id: "tabs-#{made.id}", part: part, cloth: made.treatment.face.id)
        end
      end
    end
  end
end
