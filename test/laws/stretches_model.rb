# frozen_string_literal: true

require "highs"

# A whole-number programme, column by column, for an exact solver. Its floats are rounded: every cost here is whole.
class WholeNumbers
  ENDLESS = 1e30

  def initialize
    @rows, @columns = [], []
  end

  # @return [Integer]
  def row(least, most)
    @rows << [least, most]
    @rows.size - 1
  end

  # @param entries [Hash{Integer => Integer}] by row
  def column(cost, most, entries) = @columns << [cost, most, entries]

  # @return [Integer, nil] nil where the time was over first
  def least(time_limit: nil)
    starts = [0]
    @columns.each { |_, _, entries| starts << starts.last + entries.size }
    solved = Highs.mip(
      sense: :minimize,
      col_cost: @columns.map(&:first),
      col_lower: [0] * @columns.size,
      col_upper: @columns.map { |_, most, _| most },
      row_lower: @rows.map(&:first),
      row_upper: @rows.map(&:last),
      a_format: :colwise,
      a_start: starts[0..-2],
      a_index: @columns.flat_map { |_, _, entries| entries.keys },
      a_value: @columns.flat_map { |_, _, entries| entries.values },
      integrality: [:integer] * @columns.size
    ).solve(time_limit: time_limit)
    (solved.fetch(:status) == :optimal) ? solved.fetch(:obj_value).round : nil
  end
end

# What all cuts of a task take at least, piece by piece: each kind as often as it is wanted.
class PiecesModel
  C = EarnestFold::Reckoning::Cutting

  # @param task [Cutting::PlanTask]
  def initialize(task)
    @task = task
    @counts = task.counts(task.treatments.keys)
  end

  # @return [Integer, nil] what has to be used at least; nil where the time was over first
  def least(time_limit: nil)
    @model = WholeNumbers.new
    @wanted = @counts.map { |count| @model.row(count, count) }
    each_piece { |one| piece(one) }
    @model.least(time_limit: time_limit)
  end
end

# Plain cloth: how many of each kind lie on each stretch; a piece is paid for up to its last stretch, and on that for
# what lies there.
class StretchesModel < PiecesModel
  private

  def each_piece(&) = @task.stretches(@task.batches.flatten).by_piece.each(&)

  def piece(stretches)
    last_once = @model.row(0, 1)
    rows = stretches.map do |stretch|
      [@model.row(-WholeNumbers::ENDLESS, 0), @model.row(-WholeNumbers::ENDLESS, 0), stretch]
    end
    rows.each_with_index do |(paid, free, stretch), index|
      earlier = rows.first(index).to_h { |_, before, one| [before, -one.room] }
      @model.column(stretch.from, 1, {last_once => 1, paid => -stretch.room}.merge(earlier))
      @task.kinds.each_index { |kind| lying(kind, paid, free) }
    end
  end

  # On the last stretch what lies there is paid for; on one before the last it is free.
  def lying(kind, paid, free)
    length = @task.kinds[kind].length
    @model.column(length, @counts[kind], {@wanted[kind] => 1, paid => length})
    @model.column(0, @counts[kind], {@wanted[kind] => 1, free => length})
  end
end
