# frozen_string_literal: true

module EarnestFold
  module Work
    # A whole workroom on its way out, or in again: what its archive is made of, and whether it came in just so.
    class MovingHouse
      # What came in isn't, by now, what it was: the files that differ.
      class Differs < StandardError
        # @return [Array<String>]
        attr_reader :files

        # @param files [Array<String>]
        def initialize(files)
          @files = files
          super(files.first(5).join(", "))
        end
      end

      # @param workroom [Store::Workroom]
      # @yieldparam kept [Hash] of a job, as {Export} gives it
      # @yieldreturn [String] the job as its format writes it
      def initialize(workroom, &document)
        @workroom, @document = workroom, document
      end

      # @return [Array(Store::WholeWorkroom::Rows, Hash{Integer => String})] rows, and each job's document
      def out = [Store::WholeWorkroom.new(@workroom).rows, documents]

      # All of it or nothing.
      # @param rows [Store::WholeWorkroom::Rows]
      # @param hashes [Hash{String => String}] what its files must be
      # @yieldreturn [Hash{String => String}] what they are by now
      # @raise [Differs]
      # @raise [Store::Taken] where there is work in it
      def in(rows, hashes)
        @workroom.transaction do
          Store::WholeWorkroom.new(@workroom).fill(rows)
          now = yield
          differs = (hashes.keys | now.keys).reject { |name| OWN.match?(name) || hashes[name] == now[name] }
          raise Differs, differs.sort unless differs.empty?
        end
      end

      # Who belongs to a workroom is another there.
      OWN = %r{\Arows/people\.}
      private_constant :OWN

      private

      def documents
        workroom = Workroom.new(@workroom)
        @workroom.rows(:jobs).order(:id).select_map(:id).to_h do |id|
          job = workroom.job(id)
          [id, @document.call(Export.new(job, @workroom.shelf.all(cloths: job.cloths_used)).to_h)]
        end
      end
    end
  end
end
