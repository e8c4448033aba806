# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The order of making: the steps of a treatment with their figures, in the order of its {MakingMethod}. A step is
    # declared by its theme in making_up/steps/ ({Steps}): its code, what is done to which cloths there
    # ({Operation}), what has to be done before it, and the block that gives its {Draft}s, none where it doesn't apply.
    # Tools, bench and what an experienced maker says of it follow from its operations, whatever it is called.
    module MakingUp
      # Something done at a step: the deed (:press, :fold, :pin, :tack, :mark, :cut, :sew, :fuse, :lock, :lay, :turn,
      # :set, :measure, :compare, :weigh, :draw, :thread, :unpick, :note), to which layers (:face, :lining,
      # :interlining, :tape, :buckram, :webbing, :trimming), at which edge (:hem, :side, :top, :seam, :foot, :corner,
      # :heading, nil for all of it), and by what it is sewn (:hand, :machine; nil where it isn't).
      Operation = Value.define(:deed, :layers, :edge, :by)
      # A step as it is declared gives it, for one curtain (nil: all of them): its figures with the main one first,
      # which of its words are said (`said`), what is measured there (`check`), how much of which of the house's
      # {StandardTimes} it takes (`times`: metres, pieces or once), and over how many widths it is done one by one.
      Draft = Value.define(:curtain, :figures, :said, :check, :times, :widths)
      # What is measured at a step, and how far it may be off; at which places of the curtain, where at several; and
      # which field of the treatment it settles, where the measured figure decides.
      class Measured < Value.define(:name, :planned, :tolerance, :places, :settles)
        def initialize(name:, planned:, tolerance:, places: [], settles: nil) = super

        # @param length [Length] as measured
        # @return [Boolean]
        #
        #   measured = MakingUp::Measured.new(name: :drop, planned: Length.cm(214), tolerance: Length.mm(3))
        #   measured.fits?(Length.mm(2144)) # => false
        def fits?(length) = (length - planned).abs <= tolerance
      end

      # What is done of a step at one curtain, or at all of them together (`curtain` nil), or at one width of one.
      Part = Value.define(:curtain, :figures, :said, :check, :widths) do
        # @return [Array<String>] what is ticked of it, each by its name: the curtain ("" for all), or its widths from
        #   the leading edge
        #
        #   MakingUp::Order.new(reckoning, house).steps.first.ticks # => [""]
        def ticks = widths ? (1..widths).map { |width| "#{curtain}:#{width}" } : [curtain.to_s]
      end

      # A step in its place in the order, with the minutes it usually takes and the bench it takes them on.
      Step = Value.define(:number, :code, :parts, :operations, :tools, :times, :minutes, :bench) do
        # @return [Hash{Symbol => Object}] of its first curtain; where the others differ, {#parts} says how
        #
        #   steps.first.figures.keys # => [:cut_drop, :cuts, :selvedge]
        def figures = parts.first.figures

        # @return [Length, Integer, nil] the figure that matters here
        #
        #   steps.first.main # => 2328 mm
        def main = figures.values.first

        # @return [Measured, nil] of its first curtain
        #
        #   steps.filter_map(&:check).first.name # => :cut_drop
        def check = parts.first.check

        # @return [Boolean] whether the same is said of every curtain
        #
        #   steps.first.alike? # => true
        def alike? = parts.map { |part| [part.figures, part.said] }.uniq.one?

        # @return [Array<String>] the curtains, where each is done by itself
        #
        #   steps.map(&:curtains).uniq # => [[], ["left", "right"]]
        def curtains = parts.filter_map(&:curtain)

        # @return [Array<String>] all that is ticked of it
        #
        #   steps.map(&:ticks).uniq # => [[""], ["left", "right"]]
        def ticks = parts.flat_map(&:ticks)

        # @return [Array(String, String)] under what it is said of the whole step: its code, and no curtain
        #
        #   steps.first.name # => ["lay_out_cuts", ""]
        def name = [code, ""]

        # What is said of a step is said under these: it stays the same step wherever it stands in the order.
        # @return [Array<Array(String, String)>] its code, and each of its ticks
        #
        #   steps.first.names # => [["lay_out_cuts", ""]]
        def names = ticks.map { |tick| [code, tick] }

        # @param deed [Symbol]
        # @return [Boolean]
        #
        #   steps.first.deed?(:sew) # => false
        def deed?(deed) = operations.any? { |operation| operation.deed == deed }
      end

      # Where a curtain's length is measured, and where a drop is.
      EDGES = %w[leading return].freeze
      ACROSS = %w[leading middle return].freeze
    end
  end
end
