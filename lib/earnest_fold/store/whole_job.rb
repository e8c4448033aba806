# frozen_string_literal: true

module EarnestFold
  module Store
    # A whole job brought in at once, with the cloths and tapes that it uses: those that the workroom has already, word
    # for word, are taken; the others are made.
    class WholeJob
      # @param workroom [Workroom]
      # @param title [String]
      # @param unit [String]
      # @param extras [Hash] alterations and small parts
      # @param windows [Array<Array(String, String, Array<Hash>)>] room, name, and the specs of the treatments
      # @param cloths [Hash{String => Hash}] specs by the names that the treatments call them by
      # @param tapes [Hash{String => Hash}] likewise
      def initialize(workroom, title:, unit:, extras:, cloths:, windows:, tapes: {})
        @workroom, @title, @unit, @extras, @windows = workroom, title, unit, extras, windows
        @cloths, @tapes = cloths, tapes
      end

      # @return [Integer] the job's id; all of it in the transaction that asks for it
      def bring_in
        @cloth_ids = @cloths.transform_values { |spec| cloth(spec).to_s }
        @tape_ids = @tapes.transform_values { |spec| @workroom.tapes.find_or_create(spec).to_s }
        kept = Sequel.pg_jsonb(parts_renamed(@extras.except("alterations")))
        job = @workroom.insert(:jobs, title: @title, unit: @unit, extras: kept)[:id]
        alterations(job)
        @windows.each_with_index do |(room, name, specs), index|
          @workroom.windows(job).bring(index + 1, room, name, specs.map { |spec| renamed(spec) })
        end
        job
      end

      private

      # With its pieces: those go on the shelf.
      def cloth(spec)
        id = @workroom.cloths.find_or_create(spec.except("pieces"))
        @workroom.shelf.bring_in(id, spec.fetch("pieces", []))
        id
      end

      # Each where it hangs, or by the name it came under.
      def alterations(job)
        @extras.fetch("alterations", []).each_with_index do |made, index|
          @workroom.windows(job).bring(@windows.size + index + 1, "", made["id"].to_s[0, 80], [made])
        end
      end

      def parts_renamed(extras)
        parts = extras["small_parts"] or return extras
        extras.merge("small_parts" => parts.map { |part| part["cloth"] ? of_here(part, "cloth") : part })
      end

      # The treatments call cloths and tapes by the ids they have here, where any came along.
      def renamed(spec)
        spec = spec.merge("tape" => @tape_ids.fetch(spec["tape"])) if spec["tape"] && @tapes.any?
        return spec if @cloths.empty?

        spec = of_here(spec, "trimming") if spec["trimming"]
        inner = %w[lining interlining].select { |part| spec[part] }.to_h { |part| [part, of_here(spec[part], "cloth")] }
        (spec["face"] ? of_here(spec, "face") : spec).merge(inner)
      end

      def of_here(named, key) = named.merge(key => @cloth_ids.fetch(named[key]))
    end
  end
end
