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
        # @return [String] its name in documents
        #
        #   NewHeading.kind # => "new_heading"
        def kind = self::KIND

        # @return [Fields] that are its own
        #
        #   ShortenAtHem.fields.names.first(2) # => [:existing_length, :wanted_length]
        def fields = self::FIELDS

        # @return [Fields] with its name, and those of the curtain itself; what both ask is asked as the kind asks it
        #
        #   ShortenAtHem.all_fields.names.first(2) # => [:kind, :existing_length]
        def all_fields
          @all_fields ||=
            Fields.new(**fields.declared, **OwnCurtain::FIELDS.declared.except(*fields.names)) + ALTERATION_NAME
        end

        # @return [Hash] one as a document has it, in millimetres
        #
        #   ShortenAtHem.example.keys.first(2) # => ["kind", "existing_length"]
        def example = self::EXAMPLE

        # @return [Integer] its place where one is chosen: what is asked for most comes first
        #
        #   ShortenAtHem.place # => 10
        def place = 50

        # @return [Boolean] whether it makes something shorter, and stands beside the other ways to do so
        #
        #   [ShortenAtHem, NewHeading].map(&:shortens?) # => [true, false]
        def shortens? = false

        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Alteration, nil] nil where nothing would be left to hang
        #
        #   altered("shorten_at_hem").kind # => "shorten_at_hem"
        def build(values, problems)
          unless (values[:wanted_length] + values[:stand_up]).positive?
            return problems.within(:wanted_length).add(:nothing_hangs)
          end

          new(**values)
        end
      end

      # @return [String] its name in documents
      #
      #   altered("shorten_at_hem").kind # => "shorten_at_hem"
      def kind = self.class.kind

      # @return [Boolean] whether it makes something shorter
      #
      #   altered("shorten_at_hem").shortens? # => true
      def shortens? = self.class.shortens?

      # @return [Length] the wanted length as measured from the top edge
      #
      #   altered("shorten_at_hem").from_the_top # => 1640 mm
      def from_the_top = wanted_length + stand_up

      # @return [Length] the cloth there is below the top edge, with the old hem where it is let down
      #
      #   altered("shorten_at_hem").available # => 2410 mm
      def available = let_down ? existing_length + existing_hem.taken : existing_length

      # @return [Hash{Symbol => Object}]
      #
      #   altered("shorten_at_hem").figures # => {:cut_line=>1800 mm, :remnant=>610 mm}
      def figures = raise(NotImplementedError)

      # @return [Array<Check>]
      #
      #   altered("new_heading").checks.size # => 1
      def checks = []

      # @return [Array<Line>]
      #
      #   altered("shorten_at_hem").working.map(&:name) # => [:cut_line, :remnant]
      def working = []

      # @param curtain [OwnCurtain]
      # @return [Array<AlterLine>] every line to be drawn, folded, sewn and cut, in the order of their distances; none
      #   where it can't be
      #
      #   altered("shorten_at_hem").lines(nil).map(&:name) # => [:new_fold, :first_press, :cut_line]
      def lines(_curtain) = []

      # @param curtain [OwnCurtain]
      # @return [Length] how long the cloth lies before anything is cut
      #
      #   altered("shorten_at_hem").extent(nil) # => 2410 mm
      def extent(_curtain) = existing_length

      # @param curtain [OwnCurtain]
      # @return [Length] how wide it lies
      #
      #   altered("from_flat_cloth").across(own_curtains) # => 3400 mm
      def across(curtain) = curtain.flat_width

      # @return [Hash{Symbol => Symbol}] each edge: :kept, :new, or what else becomes of it
      #
      #   altered("shorten_at_hem").edges # => {:top=>:kept, :sides=>:kept, :hem=>:new}
      def edges = {top: :kept, sides: :kept, hem: :kept}

      # @param curtain [OwnCurtain]
      # @return [Length] of the cloth that comes off, along the curtain
      #
      #   altered("from_flat_cloth").left_over(own_curtains) # => 30 mm
      def left_over(_curtain) = Length::ZERO

      # @param place [Length] of a motif, below the top edge as it came
      # @param curtain [OwnCurtain]
      # @return [Length, nil] below the top edge as it hangs then; nil where it is cut or folded away
      #
      #   altered("shorten_at_hem").motif_after(Length.cm(100), nil) # => 1000 mm
      def motif_after(place, _curtain) = (place if place < from_the_top)

      # What the steps, the drawing and the judgement ask of a kind; nothing of it where a kind says nothing else.

      # @return [Tuck, nil] the one under the heading band
      #
      #   altered("shorten_at_top").top_tuck.remove # => 410 mm
      def top_tuck = nil

      # @return [Tuck, nil] the one above the made hem
      #
      #   altered("shorten_keep_hem").foot_tuck.remove # => 380 mm
      def foot_tuck = nil

      # @return [Boolean] whether nothing is cut or sewn, so that it stays as long as it is
      #
      #   [altered("shorten_at_hem"), altered("hang_only")].map(&:cuts_nothing?) # => [false, true]
      def cuts_nothing? = false

      # @return [Boolean] whether anything goes in a tuck, so that nothing is cut off flat
      #
      #   [altered("shorten_at_hem"), altered("shorten_keep_hem")].map(&:tucked?) # => [false, true]
      def tucked? = !(top_tuck || foot_tuck).nil?

      # @return [Allowance, nil] the hem that came, where the tuck is sewn against it
      #
      #   altered("shorten_keep_hem").made_hem.depth # => 30 mm
      def made_hem = nil

      # @return [Length] how far what hangs below rises
      #
      #   altered("shorten_at_top").rise # => 410 mm
      def rise = Length::ZERO

      # @return [Allowance, nil] of a hem that is sewn anew
      #
      #   altered("shorten_at_hem").new_hem.depth # => 80 mm
      def new_hem = nil

      # @return [Length, nil] of a top that is turned anew
      #
      #   altered("from_flat_cloth").new_top # => 90 mm
      def new_top = nil

      # @return [Hash{Symbol => Length}, nil] what is laid on at the foot, and where
      #
      #   altered("lengthen").added_to_foot # => {:band=>45 mm, :band_seam=>2125 mm}
      def added_to_foot = nil

      # @return [Hash{Symbol => Length, Integer}, nil] the figures of a heading that is put on
      #
      #   altered("new_heading").heading_put_on.size # => 8
      def heading_put_on = nil

      # @param curtain [OwnCurtain]
      # @return [Integer] how many cloths make one curtain
      #
      #   altered("shorten_at_hem").cloths_joined(nil) # => 1
      def cloths_joined(_curtain) = 1

      # @return [Curtain, nil] what comes of it, with the heading that is put on
      #
      #   altered("hang_only").headed.finished_width # => 940 mm
      def headed = nil

      # @return [Array<Span>] where each hangs, where what it hangs from was measured
      #
      #   altered("hang_only").spans.size # => 2
      def spans = []

      # @return [Hash{Symbol => Integer, Length}] what its support takes, where that was measured
      #
      #   altered("shorten_at_hem").of_support # => {}
      def of_support = {}

      # What holds it where nothing is sewn: the hooks and what they go into; nil where it hangs as it did.
      # @return [Hash{Symbol => Object}, nil] the hooks' `figures`; `heading` and `drawn_up` where a tape draws it up
      #
      #   altered("hang_only").hooked_by.keys # => [:heading, :figures, :drawn_up]
      def hooked_by = nil

      # @return [Integer] how many it makes of one
      #
      #   [altered("shorten_at_hem"), altered("split_panel")].map(&:pieces_made) # => [1, 2]
      def pieces_made = 1

      # @return [Array<Integer>, nil] which of several pieces get a new hem; nil where there is but one
      #
      #   altered("split_panel").pieces_hemmed # => [1]
      def pieces_hemmed = nil

      # @return [Array<Integer>, nil] which of several pieces get a new top; nil where there is but one
      #
      #   altered("split_panel").pieces_topped # => [2]
      def pieces_topped = nil

      # @return [Boolean] whether a top that is turned anew is a casing for a rod
      #
      #   altered("shorten_at_hem").casing? # => false
      def casing? = false

      # @return [Integer, nil] clips along a top that is turned anew
      #
      #   altered("shorten_at_hem").clipped # => nil
      def clipped = nil

      # @return [Length, nil] how deep the stiffening of a top that is turned anew is
      #
      #   altered("shorten_at_hem").top_stiffened # => nil
      def top_stiffened = nil

      # @return [Boolean] whether a heading that came is taken off first
      #
      #   altered("shorten_at_hem").old_heading_off? # => false
      def old_heading_off? = false

      # @return [String, nil] how a cut edge is finished, where that was said
      #
      #   altered("shorten_at_hem").cut_edge # => nil
      def cut_edge = nil

      # @return [Array<FromFlatCloth::Way>, nil] the directions of the cloth that can be chosen from
      #
      #   altered("from_flat_cloth").ways.size # => 2
      def ways = nil

      # @param curtain [OwnCurtain]
      # @return [Length] how long it is before an old hem is let down
      #
      #   altered("shorten_at_hem").as_it_came(nil) # => 2410 mm
      def as_it_came(_curtain) = existing_length

      # @return [Length] from the top edge, when it is done
      #
      #   altered("shorten_at_hem").length_at_last # => 1640 mm
      def length_at_last = from_the_top

      # What can't be meant though it can be reckoned.
      # @return [Array<Check>]
      #
      #   altered("shorten_at_hem").contradictions # => []
      def contradictions = []

      # @param code [String]
      # @param at [Array<String>] the fields that it concerns, the one to change first
      # @return [Check]
      #
      #   altered("shorten_at_hem").stop("curtain_too_short").level # => :stop
      def stop(code, *at, **data) = Check.new(code: code, level: :stop, data: data, at: at)

      # How the length from the top edge came about.
      #
      #   altered("shorten_at_hem").with(stand_up: Length.cm(1)).from_the_top_line.map(&:name) # => [:from_the_top]
      def from_the_top_line
        return [] if stand_up.zero?

        [Line.of(:from_the_top, from_the_top, [wanted_length, stand_up.negative? ? "−" : "+", stand_up.abs])]
      end

      # A curtain that is to be shortened and is shorter already.
      #
      #   altered("lengthen").longer_than_it_is.size # => 1
      def longer_than_it_is =
        if from_the_top > existing_length
          at = %w[wanted_length existing_length]
          [stop("longer_than_curtain", *at, wanted: from_the_top, existing: existing_length)]
        else
          []
        end

      # A hem that would turn up beyond the top edge.
      # @param at [String] the field that says how deep it is
      #
      #   asked = altered("shorten_at_hem").with(wanted_length: Length.cm(6))
      #   asked.hem_too_deep(treatment.making.hem, "hem.depth").map(&:code) # => ["hem_deeper_than_cloth"]
      def hem_too_deep(hem, at) =
        (hem.depth >= from_the_top) ? [stop("hem_deeper_than_cloth", at, depth: hem.depth, length: from_the_top)] : []

      # @param name [Symbol]
      # @param deed [Symbol] what is done there
      # @param at [Length] its running distance
      # @param from [Symbol] the made edge that this runs from
      # @return [AlterLine]
      #
      #   altered("shorten_at_hem").line(:cut_line, :cut, Length.cm(10)).from # => :top
      def line(name, deed, at, from = :top) = AlterLine.new(name: name, deed: deed, at: at, from: from)
    end

    # The kinds of alteration.
    Alterations = Registry.new(:kind, :fields, :example, :build)

    # The field by which an alteration says of which kind it is.
    ALTERATION_NAME = Fields.new(kind: Declare.name_of(Alterations, said: "alterations"))

    # An alteration of a job, under its id, with the curtain that is altered.
    AlterationOfJob = Value.define(:id, :alteration, :curtain) do
      # @return [Array<AlterLine>]
      #
      #   own.reckoning.lines.map(&:name) # => [:new_fold, :first_press, :cut_line]
      def lines = alteration.lines(curtain)

      # @return [Array<Check>] what stops it, what can't be meant first; where that is so, its other stops say nothing
      #   new
      #
      #   own.reckoning.stops # => []
      def stops = (found = contradictions).empty? ? alteration.checks : found

      # @return [Boolean] whether there is more than one to be alike
      #
      #   own.reckoning.pair? # => false
      def pair? = curtain.curtains > 1

      # @return [Length]
      #
      #   own.reckoning.left_over # => 610 mm
      def left_over = alteration.left_over(curtain)

      # @return [nil] none of the house's tapes is named
      #
      #   own.reckoning.tape # => nil
      def tape = nil

      # @return [Hash{Symbol => Integer, Length}] what all its curtains need: of a heading that is put on, and of what
      #   holds one that came; nothing where it hangs as it did
      #
      #   own.reckoning.sundries # => {}
      def sundries
        each = alteration.hooked_by&.fetch(:figures)&.except(:tape_length, :buckram_length) || put_on
        counted = Sundries::BY_NAME.keys.filter_map { |name| each[name] && [name, each[name] * curtain.curtains] }.to_h
        {**alteration.of_support, **counted}
      end

      private

      def put_on
        clips = alteration.clipped ? {rings: alteration.clipped * (alteration.pieces_topped&.size || 1)} : {}
        (alteration.headed ? alteration.headed.heading : {}).merge(clips)
      end

      def contradictions = [*motif_above_band, *alteration.contradictions]

      def motif_above_band
        motif, band = curtain.motif, curtain.band
        [alteration.stop("motif_above_band", "motif", "band", motif: motif, band: band)] if motif && motif < band
      end
    end
  end
end
