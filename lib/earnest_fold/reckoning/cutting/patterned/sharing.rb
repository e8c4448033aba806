# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      module Patterned
        # From which batches each treatment may be cut, as {Wanted} is told of it.
        # @api private
        class Sharing
          # @param task [PlanTask]
          # @param leaving [Integer, nil] what leaving one cut uncut costs; nil: nothing may be left
          def initialize(task, leaving)
            @task, @leaving = task, leaving
            @choices = task.treatments.keys.map { |id| choices(id) }
          end

          # @return [Boolean] whether there is something to choose for each treatment
          def possible? = @choices.none?(&:empty?)

          # @param wanted [Wanted] where everything is settled
          # @return [Array<Array<String>>] by batch, the treatments cut from it
          def by_batch(wanted)
            chosen = @choices.select(&:one?).flatten + wanted.choices.flatten
            @task.batches.each_index.map { |index| chosen.select { |choice| choice.batch == index }.map(&:treatment) }
          end

          # @param shares [Array<Array<String>>] by batch, the treatments to be cut from it
          # @return [Wanted, nil] nil where it leaves one open
          def as(shares)
            whole = wanted
            settled = whole.choices.map do |all|
              all.find { |choice| shares.index { |ids| ids.include?(choice.treatment) } == choice.batch }
            end
            settled.reduce(whole) { |one, choice| one.settle(choice) } unless settled.include?(nil)
          end

          # @return [Wanted] where a treatment can only be cut from one batch, that is settled
          def wanted
            rows = Array.new(@task.batches.size * @task.kinds.size, 0)
            alone, open = @choices.partition(&:one?)
            alone.flatten.flat_map(&:needs).each { |row, count| rows[row] += count }
            Wanted.new(rows, open)
          end

          private

          def choices(id)
            batches = @task.batches.each_index.select { |index| @task.allowed?(id, index) }
            cut = batches.map { |index| Wanted::Option.new(id, index, 0, needs(id, index)) }
            @leaving ? [*cut, Wanted::Option.new(id, nil, @leaving * @task.treatments[id].size, [])] : cut
          end

          def needs(id, batch)
            @task
              .counts([id])
              .each_with_index
              .filter_map { |count, kind| [batch * @task.kinds.size + kind, count] if count.positive? }
          end
        end
      end
    end
  end
end
