# frozen_string_literal: true

module EarnestFold
  module Web
    # Whether all that lists, books, diary and papers ask of a piece of work can be made of it. One that fails is
    # shown as such at its place, and harms nobody else; the log has what was wrong.
    module Soundness
      R = Reckoning

      module_function

      # @param entry [Entry, AlteredEntry]
      # @return [Entry, AlteredEntry] the same, or one of which nothing is reckoned
      def of(entry)
        sound = entry.reckoned.once(:sound, entry.house) { sound?(entry) ? :sound : :faulty }
        (sound == :sound) ? entry : entry.with(reckoned: Reckoned.faulty)
      end

      # @api private
      def sound?(entry)
        ask(entry) if entry.reckoning
        true
      rescue => error
        RequestLog.note("work #{entry.id} can't be shown", error)
        false
      end

      # @api private
      def ask(entry)
        entry.checks
        entry.steps
        if entry.alteration?
          return (
            R::Judgement.of_alteration(entry.reckoning, house: entry.house) &&
              Drawings::AlteredSilhouette.new(entry.reckoning).to_s
          )
        end

        R::Cutting::Demand.by_cloth([entry.reckoning])
        R::Sundries.of(entry.reckoning)
        R::Judgement.of(entry.reckoning.treatment, entry.reckoning, house: entry.house)
        Drawings::Silhouette.new(entry.reckoning, "#ffffff").to_s
      end
    end
  end
end
