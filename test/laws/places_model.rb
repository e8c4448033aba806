# frozen_string_literal: true

require_relative "stretches_model"

# Patterned cloth of one shade: a path along the places of each piece: wait, or cut and go on from the end; each kind
# as often as it is wanted.
class PlacesModel < PiecesModel
  private

  def each_piece = @task.batches.flatten.each { |piece| yield C::Patterned::Places.new(@task.fill(piece), @task.kinds) }

  def piece(places)
    rows = Array.new(places.size + 1) { @model.row(0, 0) }
    @model.column(0, 1, {rows.first => -1})
    places.size.times do |place|
      kind, on = @wanted[places.kinds[place]], places.following[place]
      @model.column(0, 1, {rows[place] => 1, rows[place + 1] => -1})
      @model.column(0, 1, {rows[place] => 1, rows[on] => -1, kind => 1}) if on < places.size
      @model.column(places.ends[place], 1, {rows[place] => 1, kind => 1})
    end
  end
end
