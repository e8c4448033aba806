# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A line on the cloth: its name, what is done there (:cut, :fold, :sew or :mark), its running distance, and the
    # made edge that this runs from (:top or :hem).
    AlterLine = Value.define(:name, :deed, :at, :from)

    # A tuck: what it takes out, the seam allowance on both its sides, and the strip that comes off.
    Tuck = Value.define(:remove, :seam, :strip)

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

      # @return [Tuck, nil] the one under the heading band
      def top_tuck = nil

      # @return [Tuck, nil] the one above the made hem
      def foot_tuck = nil

      # @return [Boolean] whether nothing is cut or sewn, so that it stays as long as it is
      def cuts_nothing? = false

      # @return [Boolean] whether anything goes in a tuck, so that nothing is cut off flat
      def tucked? = !(top_tuck || foot_tuck).nil?

      # @return [Allowance, nil] the hem that came, where the tuck is sewn against it
      def made_hem = nil

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

      # @return [Array<Span>] where each hangs, where what it hangs from was measured
      def spans = []

      # What holds it where nothing is sewn: the hooks and what they go into; nil where it hangs as it did.
      # @return [Hash{Symbol => Object}, nil] the hooks' `figures`; `heading` and `drawn_up` where a tape draws it up
      def hooked_by = nil

      # @return [Integer] how many it makes of one
      def pieces_made = 1

      # @return [Array<Integer>, nil] which of several pieces get a new hem; nil where there is but one
      def pieces_hemmed = nil

      # @return [Array<Integer>, nil] which of several pieces get a new top; nil where there is but one
      def pieces_topped = nil

      # @return [Boolean] whether a top that is turned anew is a casing for a rod
      def casing? = false

      # @return [Integer, nil] clips along a top that is turned anew
      def clipped = nil

      # @return [Length, nil] how deep the stiffening of a top that is turned anew is
      def top_stiffened = nil

      # @return [Boolean] whether a heading that came is taken off first
      def old_heading_off? = false

      # @return [String, nil] how a cut edge is finished, where that was said
      def cut_edge = nil

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
      def stops = (found = contradictions).empty? ? alteration.checks : found

      def pair? = curtain.curtains > 1

      # @return [Length]
      def left_over = alteration.left_over(curtain)

      # @return [nil] none of the house's tapes is named
      def tape = nil

      # @return [Hash{Symbol => Integer, Length}] what all its curtains need: of a heading that is put on, and of what
      #   holds one that came; nothing where it hangs as it did
      def sundries
        each = alteration.hooked_by&.fetch(:figures)&.except(:tape_length, :buckram_length) || put_on
        Sundries::BY_NAME.keys.filter_map { |name| each[name] && [name, each[name] * curtain.curtains] }.to_h
      end

      private

      def put_on
        clips = alteration.clipped ? {rings: alteration.clipped * (alteration.pieces_topped&.size || 1)} : {}
        (alteration.headed ? alteration.headed.heading : {}).merge(clips)
      end

      def contradictions
        high = curtain.motif && curtain.motif < curtain.band
        found = alteration.contradictions
        high ? [alteration.stop("motif_above_band", motif: curtain.motif, band: curtain.band), *found] : found
      end
    end

    # What several alterations ask.
    module AskedOfCurtain
      # No curtain is longer.
      SANE = Length.mm(20_000)
      # The hem that came: as it is, whatever the house would sew; what hangs on it asks for it.
      CAME = Declare.allowance(Fields::REQUIRED)
      # A hem that is sewn anew: like the one that came where nobody says otherwise.
      ANEW = Declare.allowance(nil)
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

    # What can be measured by pins at the window: the length that is wanted, or what comes out at the foot of the
    # curtain as it hangs; each gives the other. Where both are said, the length decides.
    module ByPins
      SANE = AskedOfCurtain::SANE
      LENGTHS = Declare.at(
        "measure",
        existing_length: Declare.length(least: :over_zero, sane: SANE),
        wanted_length: Declare.length(nil, least: :over_zero, sane: SANE),
        stand_up: Declare.length(Length::ZERO, least: :any, sane: Length.mm(2_000))
      ).freeze
      FOOT = Declare.at("measure", take_out_foot: Declare.length(nil, least: :over_zero, sane: SANE)).freeze

      # How one is made of what was said.
      module Build
        def build(values, problems)
          wanted = values[:wanted_length] || by_pins(values)
          return problems.within(:wanted_length).add(:missing) unless wanted
          return problems.within(:take_out_foot).add(:nothing_hangs) unless wanted.positive?

          super(values.slice(*members).merge(wanted_length: wanted), problems)
        end

        private

        # @return [Length, nil] nil where nobody has said what comes out
        def by_pins(values)
          foot = values[:take_out_foot] or return
          values[:existing_length] - (values[:take_out_top] || Length::ZERO) - foot - values[:stand_up]
        end
      end

      def self.included(kind) = kind.extend(Build)

      # @return [Length] what comes out at the foot, the curtain hanging as it does after its top was taken in
      def taken_out_foot = existing_length - rise - from_the_top
    end

    # A hem that is sewn anew: the one that came, of its kind and depth, where no other was asked for.
    module HemAnew
      # How one is made of what was said.
      module Build
        def build(values, problems)
          hem = values[:hem] || values[:existing_hem]
          return problems.within(:existing_hem).add(:missing) if values[:hem].nil? && hem.taken.zero?

          super(values.merge(hem: hem), problems)
        end
      end

      def self.included(kind) = kind.extend(Build)

      # @return [Allowance, nil] the same hem made double, where it is single and there is cloth for it
      def doubled
        double = Allowance.new(kind: "double", depth: hem.depth, turn_under: Length::ZERO)
        double if hem.kind == "single" && from_the_top + double.taken <= available
      end
    end

    # A top that is turned anew: turned alone, sewn as a casing for a rod, or hung from clips; stiffened where it was
    # said.
    module TopAnew
      MADE = %w[turned casing clips].freeze
      FIELDS = Declare.at(
        "alter",
        top_made: Declare.choice(MADE, "turned", said: "tops_made"),
        clips: Declare.count(nil, least: 2, most: 1000),
        top_stiffening: Declare.length(nil, least: :over_zero)
      ).freeze

      def new_top = top_allowance

      # @return [Boolean] whether a rod goes through it
      def casing? = top_made == "casing"

      # @return [Integer, nil] clips along one top; nil where it hangs from something else, or nobody said how many
      def clipped = (top_made == "clips") ? clips : nil

      # @return [Length, nil] how deep its stiffening is
      def top_stiffened = top_stiffening
    end

    # What is only hung or given hooks: its edges, its hem and its length stay as they came.
    module NothingCut
      LENGTHS = Declare.at(
        "measure",
        existing_length: Declare.length(least: :over_zero, sane: AskedOfCurtain::SANE),
        stand_up: Declare.length(Length::ZERO, least: :any, sane: Length.mm(2_000))
      ).freeze
      # What a heading may ask of a support is nobody's business here.
      SUPPORT = Support.new(
        kind: "track",
        length: Length.mm(1000),
        diameter: nil,
        projection: nil,
        carriers: nil,
        rating: nil,
        height: nil
      )

      # What a heading is asked that is made, and not one that came.
      OF_MAKING = %i[fullness top_turn turn_under stiffening stiffening_layers] +
        [Taped, Frilled, HookRows].flat_map { |part| part::FIELDS.names }

      # How one is made of what was said.
      module Build
        def build(values, problems)
          unless (values[:existing_length] - values[:stand_up]).positive?
            return problems.within(:stand_up).add(:nothing_hangs)
          end

          new(**values)
        end
      end

      def self.included(kind) = kind.extend(Build)

      def cuts_nothing? = true

      # @return [Length] as it hangs, from the point that lengths are measured from
      def wanted_length = existing_length - stand_up

      def from_the_top_line = []
    end
  end
end
