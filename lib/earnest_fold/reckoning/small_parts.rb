# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Small things cut beside the curtains: tiebacks, frills, tabs, ties. A kind is one file in small_parts/, a frozen
    # value that declares `KIND`, `FIELDS` and `EXAMPLE` and answers its `figures` and its `working`.
    module SmallPart
      def self.included(kind) = kind.extend(Kind)

      # What the class of a small part answers.
      module Kind
        def kind = self::KIND

        def fields = self::FIELDS

        # @return [Fields] that a part is kept by
        def all_fields = fields

        def example = self::EXAMPLE

        def build(values, _problems) = new(**values)
      end

      # @return [Hash{Symbol => Length, Integer}] `length` and `depth` of each cut piece, and the `count`
      def figures = {length: length, depth: depth, count: count}

      # @return [Array<Line>]
      def working = []
    end

    # The kinds of small part.
    SmallParts = Registry.new(:kind, :fields, :example, :build)

    # A small part of a job, under its id; `cloth` is the id of the cloth that it is cut from, nil for the job's first
    # face.
    SmallPartOfJob = Value.define(:id, :part, :cloth)
  end
end
