# frozen_string_literal: true

module EarnestFold
  module Store
    # The windows of one job and the layers at them, as wholes: added, copied, named, and put in order. Whatever happens
    # to a window changes its job.
    class Windows
      # How long each may be. A window has one of them at least.
      FIELDS = Reckoning::Fields.new(
        %i[room name].to_h { |name| [name, Reckoning::Declare.text("", most: 80)] }
      )

      # @param workroom [Workroom]
      # @param job_id [Integer]
      def initialize(workroom, job_id)
        @workroom, @job_id = workroom, job_id
      end

      # @param spec [Hash] the first treatment at the window
      # @return [Integer] the treatment's id
      # @raise [Missing]
      def add(room:, name:, spec:) = at_the_end(room, name, [spec])

      # A window once more, at the end, with copies of its treatments.
      # @param window [Records::Window]
      # @return [Integer] the id of the copy's first treatment
      # @raise [Missing]
      def copy(window, name:) = at_the_end(window.room, name, window.treatments.map(&:spec))

      # @api private
      # @param specs [Array<Hash>] of the treatments at the window
      # @return [Integer] the id of the first of them
      def bring(position, room, name, specs)
        window = @workroom.insert(:windows, job_id: @job_id, position: position, room: room, name: name)
        specs
          .each_with_index
          .map { |spec, index| treatment(window[:id], index + 1, spec) }
          .first
      end

      # @param id [Integer] of a window
      # @param room [String]
      # @param name [String]
      # @param version [Integer] of the job, as it was read
      # @raise [Missing, Stale]
      def rename(id, room:, name:, version:)
        @workroom.transaction do
          touch(version: version)
          rows.where(id: id).update(room: room, name: name) == 1 or raise Missing, "no window #{id}"
        end
      end

      # One place up or down among the windows of its job; at the end nothing moves.
      # @param by [Integer] −1 or 1
      # @raise [Missing]
      def move(id, by:) = @workroom.transaction { swap(:windows, rows, id, by) && touch }

      # One more layer at a window.
      # @param window [Records::Window] of this job
      # @param behind [Boolean] towards the glass, or towards the room
      # @return [Integer] the treatment's id
      # @raise [Missing]
      def add_layer(window, spec, behind:)
        @workroom.transaction do
          touch
          layers = layers_at(window.id)
          treatment(window.id, behind ? layers.min(:position) - 1 : layers.max(:position) + 1, spec)
        end
      end

      # A layer one place towards the glass or the room.
      # @param window [Integer]
      # @param layer [Integer] the treatment's id
      # @param by [Integer] −1 or 1
      # @raise [Missing]
      def move_layer(window, layer, by:) =
        @workroom.transaction { swap(:treatments, layers_at(window), layer, by) && touch }

      private

      def rows = @workroom.rows(:windows).where(job_id: @job_id)

      def layers_at(window) = @workroom.rows(:treatments).where(window_id: window)

      def touch(**seen) = @workroom.jobs.touch(@job_id, **seen)

      def at_the_end(room, name, specs)
        @workroom.transaction do
          touch
          bring((rows.max(:position) || 0) + 1, room, name, specs)
        end
      end

      def treatment(window, position, spec) =
        @workroom.insert(:treatments, window_id: window, position: position, spec: Sequel.pg_jsonb(spec))[:id]

      # Changes places with the neighbour; all are numbered afresh, so that equal positions part.
      def swap(table, rows, id, by)
        ids = rows.for_no_key_update.order(:position, :id).select_map(:id)
        place = ids.index(id) or raise(Missing, "no #{table} #{id}")
        other = place + by
        return if other.negative? || other >= ids.size

        ids[place], ids[other] = ids[other], ids[place]
        ids.each_with_index { |one, index| @workroom.rows(table).where(id: one).update(position: index + 1) }
      end
    end
  end
end
