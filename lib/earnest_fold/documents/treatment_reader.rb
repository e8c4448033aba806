# frozen_string_literal: true

module EarnestFold
  module Documents
    # Reads one treatment as the job format writes it, and refuses what can't be reckoned.
    class TreatmentReader
      # @param cloths [#[]] cloths by id, nil for one that isn't there
      # @param unit [Reckoning::Unit] of lengths that name none
      # @param faulty [Array<String>] ids of cloths that are there but could not be read: their own problems say what to mend
      def initialize(cloths, unit, faulty: [])
        @cloths = cloths
        @unit = unit
        @faulty = faulty
      end

      # @param raw [Object] plain values
      # @param place [Reckoning::Problems] collects what is wrong
      # @return [Reckoning::Treatment, nil]
      def read(raw, place)
        values = Reckoning::Treatment::FIELDS.read(raw, @unit, place)
        return unless values

        asked = [:lining, :interlining].select { |part| values[part] }
        made = values.merge(face: named(values[:face], place.within(:face)), **asked.to_h { |part| [part, lined(values[part], place.within(part))] })
        checked(made, asked, place)
      end

      private

      def checked(made, asked, place)
        return if place.any? || made.values_at(:face, *asked).include?(nil)

        treatment = Reckoning::Treatment.new(**made)
        Reckoning::Refusals.check(treatment, place)
        treatment unless place.any?
      end

      def lined(part, place)
        cloth = named(part.cloth, place.within(:cloth))
        cloth && part.with(cloth: cloth)
      end

      def named(id, place) = @cloths[id] || (place.add(:no_such_cloth, id: id) unless @faulty.include?(id))
    end
  end
end
