# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # One set of curtains at a window, as asked for. `face` is a {Cloth}; `lining` and `interlining` are nil where
    # there is none; `ordered` is what somebody else ordered of it; `tape` is the id of the {Tape} that its heading
    # takes, nil where none is named; `order_of_work` is the {MakingMethod} by which it is made, and `wrap_measured`
    # what the face came round on the first curtain, nil before it was measured or where nothing is bagged; `tieback` is
    # what ties its curtains back, nil where nothing does, and `trimming` another {Cloth} that frill and tiebacks are
    # cut from, nil where that is the face.
    class Treatment < Value.define(
      :id,
      :name,
      :support,
      :opening,
      :return_left,
      :return_right,
      :overlap,
      :ease,
      :drop,
      :ordered,
      :heading,
      :tape,
      :making,
      :face,
      :run,
      :pattern,
      :lining,
      :interlining,
      :order_of_work,
      :weighting,
      :wrap_measured,
      :tieback,
      :trimming,
      :site,
      :wall,
      :notes
    )
      MEASURED = Declare.at(
        "measure",
        name: Declare.text,
        support: Declare.record(Support::FIELDS) { |values, _| Support.new(**values) },
        opening: Declare.record(Opening::FIELDS) { |values, problems| Opening.build(values, problems) },
        return_left: Declare.length(Length::ZERO, sane: Length.mm(2_000)),
        return_right: Declare.length(Length::ZERO, sane: Length.mm(2_000)),
        overlap: Declare.length(Length::ZERO, sane: Length.mm(2_000)),
        ease: Declare.length(Length::ZERO, sane: Length.mm(1_000)),
        drop: Declare.record(DropAsked::FIELDS, DropAsked::UNMEASURED) { |values, _| DropAsked.new(**values) },
        ordered: Declare.record(Ordered::FIELDS, Ordered::NOTHING) { |values, _| Ordered.new(**values) }
      )
      # What weighs the foot: nothing, a weight in each corner, one at each seam besides, or something all along it.
      WEIGHTINGS = %w[none corners corners_and_seams chain tape pipe].freeze
      CUT = Declare.at(
        "cloth",
        making: Declare.record(Making::FIELDS) { |values, _| Making.new(**values) },
        face: Declare.id,
        run: Declare.choice(RUNS, "up_the_drop", said: "runs"),
        pattern: Declare.record(Pattern::FIELDS, Pattern::FREE) { |values, _| Pattern.new(**values) },
        lining: Declare.record(Lining::FIELDS, nil) { |values, _| Lining.new(**values) },
        interlining: Declare.record(Interlining::FIELDS, nil) { |values, _| Interlining.new(**values) },
        method: Declare.choice(Methods::Kinds.names, nil, said: "methods"),
        weighting: Declare.choice(WEIGHTINGS, "corners_and_seams", said: "weightings"),
        wrap_measured: Declare.length(nil, sane: Length.mm(300))
      )
      ROOM = Declare.at(
        "measure",
        site: Declare.record(Site::FIELDS, Site::UNKNOWN) { |values, _| Site.new(**values) },
        wall: Declare.record(Wall::FIELDS, Wall::BARE) { |values, _| Wall.new(**values) },
        notes: Declare.text("", most: 2000)
      )
      # By station, in the order of the job format.
      FIELDS = Fields.new(
        id: Declare.id,
        **MEASURED,
        **Declare.at("heading", heading: [HeadingField.new, Declare::REQUIRED], tape: Declare.text(nil, least: 1),
          tieback: Tieback.at_window, trimming: Declare.text(nil, least: 1)),
        **CUT,
        **ROOM
      )
      private_constant :MEASURED, :CUT, :ROOM

      # @param raw [Object] plain values
      # @param unit [Unit] of lengths that name none
      # @param problems [Problems]
      # @param known [KnownFields, nil] of the treatment as it was
      # @yieldparam read [KnownFields] what was read, where nothing was wrong
      # @return [Hash{Symbol => Object}, nil] what {#initialize} takes, but for the cloths: with a support's length
      #   always
      #
      #   Treatment.read(ExampleWindow::SPEC, Units::CM, Problems.new)[:overlap] # => 80 mm
      def self.read(raw, unit, problems, known: nil)
        raw = Ordered.measured(raw)
        unmeasured(raw, problems)
        values = FIELDS.read(raw, unit, problems, known: known)
        return if values.nil? || problems.any?

        yield KnownFields.new(raw: raw, values: values) if block_given?
        values.merge(support: values[:support].under(*values.values_at(:opening, :ordered)))
      end

      # Told beside whatever else is wrong.
      def self.unmeasured(raw, problems)
        return unless raw.is_a?(Hash)

        no_drop(raw["drop"], problems.within(:drop))
        support, opening, ordered = raw.values_at("support", "opening", "ordered")
        return unless support.is_a?(Hash) && support["length"].nil?

        inner = ->(record, key) { record.is_a?(Hash) ? record[key] : nil }
        if Support.length_needed?(inner.call(opening, "kind"), inner.call(ordered, "finished_width"))
          problems.within(:support).within(:length).add(:missing)
        end
      end
      private_class_method :unmeasured

      def self.no_drop(drop, problems)
        return problems.add(:missing) if drop.nil?

        problems.within(:readings).add(:missing) if drop.is_a?(Hash) && drop["readings"].nil?
      end
      private_class_method :no_drop

      # @return [Widths, nil] what widths of the face give; nil before there is a face
      attr_reader :width_rule

      # @param method [String, nil] the name of the method chosen: resolved here, once, by what is made
      def initialize(face:, making:, method: nil, order_of_work: nil, **others)
        @width_rule = face && Widths.new(cloth: face, seam: making.seam, side: making.side.taken)
        # What is asked for again and again is reckoned once; what it gives never changes, as nothing here does.
        @once = {}
        drop = others.fetch(:drop).hung(*others.values_at(:heading, :support))
        order_of_work ||= Methods.for(method, Made.new(**others.slice(*Made.members)))
        super(face: face, making: making, order_of_work: order_of_work, **others, drop: drop)
      end

      # What decides which methods suit.
      Made = Value.define(:heading, :lining, :interlining)
      private_constant :Made

      # @return [Boolean] whether face and lining are sewn together at the sides and turned
      #
      #   treatment.bagged? # => false
      def bagged? = order_of_work.bags?

      # @return [Array<Span>] its curtains' places, from left to right, as wide as they are made
      #
      #   treatment.spans.map(&:finished_width) # => [1000 mm, 1000 mm]
      def spans = @once[:spans] ||= ordered.as_wide(measured_spans).freeze

      # @return [Array<Span>] the same as the window alone gives them, whatever was ordered
      #
      #   treatment.measured_spans.map(&:hand) # => ["left", "right"]
      def measured_spans =
        @once[:measured_spans] ||= begin
          ends = Ends.new(return_left: return_left, return_right: return_right, overlap: overlap, ease: ease)
          opening.spans(support, ends).freeze
        end

      # @return [Array<Length, nil>] the length of each support there is: a dress pair hangs from two short ones; nil
      #   where nobody measured it, as the curtains' widths were ordered
      #
      #   treatment.supports # => [1800 mm]
      def supports
        return [opening.cover, opening.cover] if opening.kind == "dress_pair"

        [(support.length == ordered.likely_support(opening)) ? nil : support.length]
      end

      # @return [Length] top edge to hem edge, as it was ordered where it was
      #
      #   treatment.finished_drop # => 2128 mm
      def finished_drop = @once[:finished_drop] ||= ordered.finished_drop || measured_drop

      # @return [Length] the same as the window gives it, whatever was ordered
      #
      #   treatment.measured_drop # => 2128 mm
      def measured_drop = drop.shortest + drop.stand_up + drop.offset

      # @return [Array<Length>] the flat width that each of them is to have at least, in the order of {#spans}
      #
      #   treatment.flat_needed # => [2000 mm, 2000 mm]
      def flat_needed = @once[:flat_needed] ||= spans.map { |span| heading.needed(span) }.freeze

      # @return [Array<Rational>] how many widths each of them takes, in the order of {#spans}; one run sideways
      #
      #   treatment.widths_needed # => [(2/1), (2/1)]
      def widths_needed =
        @once[:widths_needed] ||= begin
          counts = flat_needed.uniq.to_h { |needed| [needed, Curtain.count(self, needed)] }
          flat_needed.map { |needed| counts.fetch(needed) }.freeze
        end

      # @return [Widths, nil] what widths of the lining give; nil where there is none
      #
      #   lined.lining_rule.cloth.id # => "sateen"
      def lining_rule = @once[:lining_rule] ||= lining && LiningCut.rule(self)

      # @return [Array<Length>] the width wanted of the lining behind each curtain; asked for only where there is one
      #
      #   lined.lining_targets.first # => 2630 mm
      def lining_targets =
        @once[:lining_targets] ||=
          curtains.map { |curtain| curtain.flat_cut_for(self) - lining.inset * 2 }.freeze

      # @return [Array<Curtain>] each reckoned; asked for only where the figures can be ({Refusals})
      #
      #   treatment.curtains.map(&:hand) # => ["left", "right"]
      def curtains = @once[:curtains] ||= Curtain.all(self).freeze

      # @param other [Treatment] the same but for figures that no width hangs on
      # @return [Treatment] itself, with the curtains that were reckoned of the other
      #
      #   treatment.with_curtains_of(treatment).id # => "office"
      def with_curtains_of(other)
        @once.update(curtains: other.curtains, flat_needed: other.flat_needed, widths_needed: other.widths_needed)
        @once[:lining_targets] = other.lining_targets if lining && lining.inset == other.lining.inset
        self
      end

      # @param curtain [Curtain]
      # @return [Integer] weights that go into its foot piece by piece: in each corner, and at the foot of each seam
      #   where that was chosen; none where something lies along the whole of it, or there is no hem for them
      #
      #   treatment.weights(treatment.curtains.first) # => 3
      def weights(curtain)
        return 0 if making.hem.taken.zero?

        {"corners" => 2, "corners_and_seams" => curtain.weights}.fetch(weighting, 0)
      end

      # @return [Boolean] whether the face runs along the track instead of down
      #
      #   treatment.sideways? # => false
      def sideways? = run == "railroad"

      # @return [DropCut] of the face
      #
      #   treatment.drop_cut.cut_drop # => 2328 mm
      def drop_cut
        DropCut.new(
          cloth: face,
          finished: finished_drop,
          top: heading.top_allowance(support),
          hem: making.hem.taken,
          squaring: making.squaring,
          sideways: sideways?
        )
      end

      # @return [Array<Cloth>] without nils
      #
      #   lined.cloths.map(&:id) # => ["plain", "sateen"]
      def cloths = [face, lining&.cloth, interlining&.cloth, (trimming if trimmed?)].compact

      # @return [Boolean] whether anything is made beside its curtains that another cloth could be taken for
      #
      #   treatment.trimmed? # => false
      def trimmed? = !tieback.nil? || !heading.frill_above.nil?

      # @return [Cloth] what is made beside the curtains is cut from: frills and tiebacks
      #
      #   treatment.trimmed_from.id # => "plain"
      def trimmed_from = trimming || face

      # @return [TreatmentReckoning]
      # @raise [Invalid] where it can't be reckoned
      #
      #   treatment.reckon.widths_total # => 4
      def reckon
        problems = Problems.new
        Refusals.check(self, problems)
        problems.raise_any
        TreatmentReckoning.new(self)
      end
    end
  end
end
