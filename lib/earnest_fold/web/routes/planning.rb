# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # A cloth's plan as it is now, and how it is taken to the table.
      module Planning
        private

        # @return [Work::ClothCutting]
        # @param most [Numeric, nil] seconds until others go on with it; nil: what is left of the page's patience
        def planned(id, cloth, most: nil)
          job = sheet(id)
          Work::Cutting.of(job, workroom, patience: most || patience).cloth(number(cloth))
        end

        # For whoever needs the plan itself: while others are at it, one is led to where one sees how far they are.
        def settled(cutting)
          errand = cutting.awaited
          errand&.live? ? halt(go(Paths.errand(errand.id, back: request.path_info))) : cutting
        end

        # Takes the plan as it is now; where somebody cut or took some of the same cloth meanwhile, it is planned
        # again.
        # @raise [Store::Missing] where there is nothing to cut from
        def take(cutting, again: true)
          plan = cutting.plan or raise Store::Missing, "nothing to cut from"
          workroom.plans.take(
            cutting.sheet.job.id,
            cutting.id,
            {proved: plan.proved, used: plan.length_used, bound: plan.bound},
            cutting.lines,
            seen: cutting.seen
          )
        rescue Store::Stale
          raise unless again

          take(planned(cutting.sheet.job.id.to_s, cutting.cloth.id), again: false)
        end
      end
    end
  end
end
