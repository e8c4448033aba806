# frozen_string_literal: true

module EarnestFold
  module Work
    # One station of the work: its name, its place in the order, the sorts of work that have it, and when something is
    # still to be done there. One is one file in stations/; the web shows it by a screen of its own, or by the fields
    # that say they are filled in there.
    class Station < Reckoning::Value.define(:name, :place, :sorts, :wanting)
      MADE, ALTERED = "made", "altered"
      # Whether a figure is wanting that is filled in there or before.
      FIGURES = ->(work, name) { work.wanting?(name) }

      def initialize(name:, place:, sorts: [MADE, ALTERED], wanting: FIGURES) = super

      # @param work [AtWork]
      # @return [Boolean] whether such work has it
      #
      #   Work::Stations.all.first.of?(work) # => true
      def of?(work) = sorts.include?(work.sort)

      # @param work [AtWork]
      # @return [Boolean] whether anything is still to be done there
      #
      #   Work::Stations.all.first.open?(work) # => false
      def open?(work) = wanting.call(work, name)
    end
  end
end
