# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A line on the cloth: its name, what is done there (:cut, :fold, :sew or :mark), its running distance, and the
    # made edge that this runs from (:top or :hem).
    AlterLine = Value.define(:name, :deed, :at, :from)

    # The contract of an alteration, with what most of them answer alike: a frozen value that declares `KIND`,
    # `FIELDS` and `EXAMPLE`, answers its `figures`, its `checks`, its `working` and its `lines`, and registers itself
    # in {Alterations}. One kind is one file in alterations/.
    module Alteration
      def self.included(kind) = kind.extend(Kind)

      # What the class of an alteration answers.
      module Kind
        def kind = self::KIND

        def fields = self::FIELDS

        # @return [Fields] with its name, and those of the curtain itself
        def all_fields = @all_fields ||= OwnCurtain::FIELDS + fields + ALTERATION_NAME

        def example = self::EXAMPLE

        # @return [Boolean] whether it makes something shorter, and stands beside the other ways to do so
        def shortens? = false

        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Alteration, nil] nil where nothing would be left to hang
        def build(values, problems)
          unless (values[:wanted_length] + values[:stand_up]).positive?
            return problems.within(:wanted_length).add(:nothing_hangs)
          end

          new(**values)
        end
      end

      def kind = self.class.kind

      # @return [Boolean] whether it makes something shorter
      def shortens? = self.class.shortens?

      # @return [Length] the wanted length as measured from the top edge
      def from_the_top = wanted_length + stand_up

      # @return [Length] the cloth there is below the top edge, with the old hem where it is let down
      def available = let_down ? existing_length + existing_hem.taken : existing_length

      # @return [Hash{Symbol => Object}]
      def figures = raise(NotImplementedError)

      # @return [Array<Check>]
      def checks = []

      # @return [Array<Line>]
      def working = []

      # @param curtain [OwnCurtain]
      # @return [Array<AlterLine>] every line to be drawn, folded, sewn and cut, in the order of their distances; none
      #   where it can't be
      def lines(_curtain) = []

      # @param curtain [OwnCurtain]
      # @return [Length] how long the cloth lies before anything is cut
      def extent(_curtain) = existing_length

      # @param curtain [OwnCurtain]
      # @return [Length] how wide it lies
      def across(curtain) = curtain.flat_width

      # @return [Hash{Symbol => Symbol}] each edge: :kept, :new, or what else becomes of it
      def edges = {top: :kept, sides: :kept, hem: :kept}

      # @param curtain [OwnCurtain]
      # @return [Length] of the cloth that comes off, along the curtain
      def left_over(_curtain) = Length::ZERO

      # @param place [Length] of a motif, below the top edge as it came
      # @param curtain [OwnCurtain]
      # @return [Length, nil] below the top edge as it hangs then; nil where it is cut or folded away
      def motif_after(place, _curtain) = (place if place < from_the_top)

      # What the steps, the drawing and the judgement ask of a kind; nothing of it where a kind says nothing else.

      # @return [Length, nil] what a tuck takes out
      def tuck = nil

      # @return [Length] how far what hangs below rises
      def rise = Length::ZERO

      # @return [Allowance, nil] of a hem that is sewn anew
      def new_hem = nil

      # @return [Length, nil] of a top that is turned anew
      def new_top = nil

      # @return [Hash{Symbol => Length}, nil] what is laid on at the foot, and where
      def added_to_foot = nil

      # @return [Hash{Symbol => Length, Integer}, nil] the figures of a heading that is put on
      def heading_put_on = nil

      # @param curtain [OwnCurtain]
      # @return [Integer] how many cloths make one curtain
      def cloths_joined(_curtain) = 1

      # @return [Curtain, nil] what comes of it, with the heading that is put on
      def headed = nil

      # @return [Integer] how many it makes of one
      def pieces_made = 1

      # @return [Array<FromFlatCloth::Way>, nil] the directions of the cloth that can be chosen from
      def ways = nil

      # @param curtain [OwnCurtain]
      # @return [Length] how long it is before an old hem is let down
      def as_it_came(_curtain) = existing_length

      # @return [Length] from the top edge, when it is done
      def length_at_last = from_the_top

      # What can't be meant though it can be reckoned.
      # @return [Array<Check>]
      def contradictions = []

      def stop(code, **data) = Check.new(code: code, level: :stop, data: data)

      # How the length from the top edge came about.
      def from_the_top_line
        return [] if stand_up.zero?

        [Line.of(:from_the_top, from_the_top, [wanted_length, stand_up.negative? ? "−" : "+", stand_up.abs])]
      end

      # A curtain that is to be shortened and is shorter already.
      def longer_than_it_is =
        if from_the_top > existing_length
          [stop("longer_than_curtain", wanted: from_the_top, existing: existing_length)]
        else
          []
        end

      # A hem that would turn up beyond the top edge.
      def hem_too_deep(hem) =
        (hem.depth >= from_the_top) ? [stop("hem_deeper_than_cloth", depth: hem.depth, length: from_the_top)] : []

      def line(name, deed, at, from = :top) = AlterLine.new(name: name, deed: deed, at: at, from: from)
    end

    # The kinds of alteration.
    Alterations = Registry.new(:kind, :fields, :example, :build)

    # The field by which an alteration says of which kind it is.
    ALTERATION_NAME = Fields.new(kind: Declare.name_of(Alterations, said: "alterations"))

    # An alteration of a job, under its id, with the curtain that is altered.
    AlterationOfJob = Value.define(:id, :alteration, :curtain) do
      # @return [Array<AlterLine>]
      def lines = alteration.lines(curtain)

      # @return [Array<Check>] what stops it, what can't be meant first; where that is so, its other stops say nothing
      #   new
      def stops = alteration.contradictions.then { |found| found.empty? ? alteration.checks : found }

      def pair? = curtain.curtains > 1

      # @return [Length]
      def left_over = alteration.left_over(curtain)
    end

    # What several alterations ask.
    module AskedOfCurtain
      # No curtain is longer.
      SANE = Length.mm(20_000)
      HEM = Declare.starting({"kind" => "double", "depth" => "8 cm"}.freeze, Declare.allowance)
      SEAM = Declare.starting("1.5 cm", Declare.length(Length::ZERO))
      TOP = Declare.starting("9 cm", Declare.length)
      LET_DOWN = Declare.flag(false)
      WANTED = {
        wanted_length: Declare.length(least: :over_zero, sane: SANE),
        stand_up: Declare.length(Length::ZERO, least: :any, sane: Length.mm(2_000))
      }.freeze
      # The lengths that nearly every one starts from.
      LENGTHS = Declare.at("measure", existing_length: Declare.length(least: :over_zero, sane: SANE), **WANTED).freeze
    end
  end
end
