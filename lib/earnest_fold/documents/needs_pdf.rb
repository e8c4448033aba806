# frozen_string_literal: true

module EarnestFold
  module Documents
    # What a job needs, on paper: cloth by cloth with the length needed and to order, then the small parts against
    # what is on hand.
    class NeedsPdf
      R = Reckoning

      # @param title [String] the job's
      # @param works [Array<Reckoning::TreatmentReckoning, Reckoning::AlterationOfJob>]
      # @param cloths [Array<Reckoning::ClothReckoning>]
      # @param unit [Reckoning::Unit]
      # @param on_hand [Hash{Symbol => Integer, Reckoning::Length}]
      # @param tapes [Hash{String => Reckoning::Tape}] those that they take, by id
      # @param parts [Hash{String => Reckoning::Length}] what is cut beside the curtains, by the cloth's id
      def initialize(title, works, cloths, unit, on_hand: {}, tapes: {}, parts: {})
        @title, @cloths, @unit, @on_hand, @parts = title, cloths, unit, on_hand, parts
        @sundries = SundryRows.new(works, tapes)
      end

      # @return [String] the file
      #
      #   Documents::NeedsPdf.new("Sluice House", [reckoning], [], Units::CM).render[0, 5] # => "%PDF-"
      def render
        paper = Paper.new(
          Words.say("needs.title", title: @title),
          about: Words.say("cuts.figures_in", unit_name: Words.say("units.#{@unit.name}"))
        )
        paper.table(
          Words.say("job.needs"),
          words("needs.what", "needs.use", "needs.amount", "needs.to_order", "needs.cost"),
          @cloths.flat_map { |made| [cloth(made), *beside(made.cloth)] },
          right: [2, 3, 4]
        )
        paper.table(
          Words.say("needs.sundries"),
          words("needs.what", "needs.amount", "heading.on_hand", "heading.to_get", "needs.cost"),
          sundries,
          right: [1, 2, 3, 4]
        )
        paper.note(Words.say("needs.alone")).render
      end

      private

      def words(*keys) = keys.map { |key| Words.say(key) }

      def cloth(made)
        [
          made.cloth.name,
          Words.say("uses.#{made.cloth.use}"),
          Words.length(made.length_needed, @unit),
          Words.to_order(made),
          made.cost ? Words.money(made.cost) : "–"
        ]
      end

      def beside(cloth)
        length = @parts[cloth.id] or return []
        [[Words.say("needs.beside", cloth: cloth.name), "", Words.length(length, @unit), "", ""]]
      end

      def sundries
        rows = @sundries.to_a
        rows.map do |one|
          # What is on hand is counted by the sort: where several are of one sort, nobody knows whose it is.
          there = (rows.one? { |other| other.name == one.name }) ? @on_hand[one.name] : nil
          short = (there && there < one.amount) ? figure(one.amount - there) : ""
          [
            one.says,
            figure(one.amount),
            there ? figure(there) : Words.say("heading.not_counted"),
            short,
            one.cost ? Words.money(one.cost) : ""
          ]
        end
      end

      def figure(value) = value.is_a?(R::Length) ? Words.with_unit(value, @unit) : value.to_s
    end
  end
end
