# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Reads one treatment as the job format writes it, and refuses what can't be reckoned.
    class TreatmentReader
      # @param cloths [#[]] cloths by id, nil for one that isn't there
      # @param unit [Unit] of lengths that name none
      # @param faulty [Array<String>] ids of cloths and tapes that are there but could not be read: their own problems
      #   say what to mend
      # @param tapes [Hash{String => Hash}, nil] tapes as they are written, by id; nil where what they say stands at
      #   the headings already
      def initialize(cloths, unit, faulty: [], tapes: nil)
        @cloths = cloths
        @tapes = tapes
        @unit = unit
        @faulty = faulty
      end

      # @param raw [Object] plain values
      # @param place [Problems] collects what is wrong
      # @param known [KnownFields, nil] of the treatment as it was: of that only what changed is read again
      # @yieldparam read [KnownFields] what was read, where nothing was wrong
      # @return [Treatment, nil]
      #
      #   TreatmentReader.new({"plain" => cloth}, Units::CM).read(ExampleWindow::SPEC, Problems.new).id # => "office"
      def read(raw, place, known: nil, &keep)
        raw = taped(raw, place) if @tapes
        values = Treatment.read(raw, @unit, place, known: known, &keep)
        strangers(raw, place) if raw.is_a?(Hash)
        return if values.nil? || place.any?

        asked = [:lining, :interlining].select { |part| values[part] }
        made = values.merge(**whole(values), **asked.to_h { |part| [part, lined(values[part])] })
        checked(made, asked, place)
      end

      private

      def checked(made, asked, place)
        return if place.any? || made.values_at(:face, *asked).include?(nil)

        treatment = Treatment.new(**made)
        Refusals.check(treatment, place)
        treatment unless place.any?
      end

      # What the tape says and the heading doesn't.
      def taped(raw, place)
        return raw unless raw.is_a?(Hash) && raw["tape"].is_a?(String) && raw["heading"].is_a?(Hash)

        tape, heading = @tapes[raw["tape"]], raw["heading"]
        kind = Headings[heading["kind"]]
        return raw if tape.nil? && @faulty.include?(raw["tape"])
        return place.within(:tape).add(:no_such_tape, id: raw["tape"]) || raw unless tape
        return place.within(:tape).add(:tape_unsuited) || raw unless kind&.tape == tape["kind"]

        raw.merge("heading" => Tape.figures(tape, heading, kind).merge(heading.compact))
      end

      # Cloths that a treatment names by themselves.
      def whole(values) = {face: @cloths[values[:face]], trimming: values[:trimming] && @cloths[values[:trimming]]}

      def lined(part) = (cloth = @cloths[part.cloth]) && part.with(cloth: cloth)

      # Cloths named that aren't there, told also where the treatment has other faults.
      def strangers(raw, place)
        {
          "face" => raw["face"],
          "trimming" => raw["trimming"],
          "lining/cloth" => inner(raw["lining"]),
          "interlining/cloth" => inner(raw["interlining"])
        }.each do |path, id|
          next if !id.is_a?(String) || id.strip.empty? || @cloths[id] || @faulty.include?(id)

          path.split("/").reduce(place) { |at, step| at.within(step) }.add(:no_such_cloth, id: id)
        end
      end

      def inner(part) = part.is_a?(Hash) ? part["cloth"] : nil
    end
  end
end
