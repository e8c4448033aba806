# frozen_string_literal: true

module EarnestFold
  module Documents
    # Labels for what is cut of a cloth, one bundle a work: where it goes, how many cuts of which length it is, and from
    # which batch. Each has a code that opens the work's bench.
    class BundleLabels
      # @param cutting [Work::ClothCutting]
      # @param opens [Hash{String => String}] what the code on each work's label says
      def initialize(cutting, opens)
        @cutting, @opens = cutting, opens
      end

      # @return [String]
      def title = Words.say("bundles.title", cloth: @cutting.cloth.name)

      # @return [String] PDF
      def render
        bundles = @cutting.cuts.group_by(&:treatment)
        labels = bundles.map { |work, cuts| lines(work, cuts) }
        TagPdf.new(title, labels, @opens.values_at(*bundles.keys)).render
      end

      private

      def sheet = @cutting.sheet

      def lines(work, cuts)
        lengths = cuts.map(&:length).tally.map do |length, count|
          Words.say("bundles.cuts", count: count, length: Words.with_unit(length, sheet.unit))
        end
        [title_of(work), sheet.job.title, @cutting.cloth.name, lengths.join(", "), *batches(work)]
      end

      def title_of(work) = sheet.works.find { |one| one.id.to_s == work }.title

      # Of what is cut already.
      def batches(work)
        pieces = @cutting.made.select { |cut| cut.cut.treatment == work }.map(&:piece_id).uniq
        found = @cutting.records.select { |one| pieces.include?(one.id) }.map { |one| one.piece.batch } - [""]
        found.empty? ? [] : ["#{Words.say("shelf.batch")} #{found.uniq.join(", ")}"]
      end
    end
  end
end
