# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Small things cut beside the curtains: tiebacks, frills, tabs, ties. A kind is one file in small_parts/, a frozen
    # value that declares `KIND`, `FIELDS` and `EXAMPLE` and answers its `figures` and its `working`.
    module SmallPart
      def self.included(kind) = kind.extend(Kind)

      # What the class of a small part answers.
      module Kind
        # @return [String] its name in documents
        #
        #   Frill.kind # => "frill"
        def kind = self::KIND

        # @return [Fields] that are its own
        #
        #   Patch.fields.names.first(3) # => [:width, :height, :count]
        def fields = self::FIELDS

        # @return [Fields] that a part is kept by
        #
        #   Patch.all_fields.names.first(3) # => [:width, :height, :count]
        def all_fields = fields

        # @return [Hash] one as a document has it, in millimetres
        #
        #   Tab.example.keys.first(3) # => ["kind", "diameter", "drop"]
        def example = self::EXAMPLE

        # @param values [Hash] as FIELDS read them
        # @return [SmallPart]
        #
        #   Patch.build({width: Length.cm(5), height: Length.cm(5), count: 1}, Problems.new).count # => 1
        def build(values, _problems) = new(**values)
      end

      # @return [Hash{Symbol => Length, Integer}] `length` and `depth` of each cut piece, and the `count`
      #
      #   small_part("patch").figures[:count] # => 1
      def figures = {length: length, depth: depth, count: count}

      # @return [Length, nil] the seam by which it may be joined from strips; nil where it has to be one
      #
      #   [small_part("patch"), small_part("frill")].map(&:joined_by) # => [nil, 15 mm]
      def joined_by = nil

      # @param width [Length] that a strip can be at most
      # @return [Array(Integer, Length)] from how many strips it is joined, and how long each is cut
      #
      #   small_part("frill").strips(Length.cm(138)).count # => 2
      def strips(width) = Strips.of(length, joined_by, width)

      # @return [Array<Line>]
      #
      #   small_part("tieback").working.size # => 3
      def working = []
    end

    # Something long joined from strips that are shorter.
    module Strips
      module_function

      # @param length [Length] of all, as it is cut
      # @param seam [Length, nil] by which they are joined; nil where they can't be
      # @param width [Length] that a strip can be at most
      # @return [Array(Integer, Length)] the least strips that do, and how long each is cut
      #
      #   Strips.of(Length.cm(260), Length.cm(1), Length.cm(140)) # => [2, 1310 mm]
      def of(length, seam, width)
        more = seam && width - seam * 2
        return [1, length] if length <= width || more.nil? || !more.positive?

        count = ((length - seam * 2) / more).ceil
        [count, (length + seam * 2 * (count - 1)) / count]
      end
    end

    # The kinds of small part.
    SmallParts = Registry.new(:kind, :fields, :example, :build)

    # A small part of a job, under its id; `cloth` is the id of the cloth that it is cut from, nil for the job's first
    # face.
    SmallPartOfJob = Value.define(:id, :part, :cloth)
  end
end
