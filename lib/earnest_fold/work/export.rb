# frozen_string_literal: true

module EarnestFold
  module Work
    # A job with the cloths that it uses as it goes out of the house: plain values, as the job format names them.
    class Export
      # @param job [Job]
      # @param pieces [Array<Store::Records::Piece>] of the cloths that it uses
      def initialize(job, pieces = [])
        @sheet, @pieces = job, pieces
      end

      # @param job [Store::Records::Job]
      # @return [Array<Integer>] its works in the order in which its document has them: what is made, then what is
      #   altered
      #
      #   Work::Export.order(in_hand.job).size # => 3
      def self.order(job)
        job.treatments.reject(&:put_away).partition { |record| record.sort != Station::ALTERED }.flatten.map(&:id)
      end

      # @return [Hash{Symbol => Object}] title, unit, extras, cloths and tapes ({id => spec}) and windows ([id,
      #   room, name, {id => spec}])
      def to_h = {
        title: job.title, unit: job.unit, extras: with_alterations, cloths: cloths, tapes: tapes, windows: windows
      }

      private

      def job = @sheet.job

      def cloths =
        @sheet
          .cloth_records
          .select { |record| @sheet.cloths_used.include?(record.id) }
          .to_h { |record| [record.id.to_s, with_pieces(record)] }

      # Those that any of its windows takes.
      def tapes =
        job.treatments
          .reject(&:put_away)
          .filter_map { |made| @sheet.settled.tape(made.spec["tape"]) }
          .to_h { |tape| [tape.id.to_s, tape.spec] }

      # A window at which something is altered only is none of the document's windows.
      def windows
        made_here = job.windows.reject do |window|
          window.treatments.any? && window.treatments.all? { |record| altered?(record) }
        end
        made_here.map do |window|
          kept = window.treatments.reject { |made| made.put_away || altered?(made) }
          [window.id.to_s, window.room, window.name, kept.to_h { |made| [made.id.to_s, named_rules(made.spec)] }]
        end
      end

      def altered?(record) = record.sort == Station::ALTERED

      # A copy goes by its own name: no two have the same.
      def with_alterations
        return job.extras if @sheet.alterations.empty?

        named = @sheet.alterations.group_by(&:document_id).flat_map do |id, same|
          same.each_with_index.map { |work, index| [work, index.zero? ? id : "#{id}-#{work.id}"] }
        end
        names = named.to_h
        kept = @sheet.alterations.map { |work| work.record.spec.merge("id" => names.fetch(work)) }
        job.extras.merge("alterations" => kept)
      end

      # A set's number means nothing elsewhere: out of the house it goes by its name.
      def named_rules(spec) =
        spec["rules"] ? spec.merge({"rules" => @sheet.settled.set(spec["rules"])&.name}.compact) : spec

      # What is left of each piece on the shelf goes along.
      def with_pieces(record)
        here = @pieces.select { |piece| piece.cloth_id == record.id && piece.piece.left.positive? }
        here.empty? ? record.spec : record.spec.merge("pieces" => here.map { |piece| Store::Shelf.to_document(piece) })
      end
    end
  end
end
