# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Cutting
      # A small part to be cut: its size as it hangs (`across` the cloth by `along` it, so that a pattern stands
      # upright), and the seam by which it may be joined from strips, nil where it can't be.
      class SmallCut < Value.define(:id, :kind, :across, :along, :joined_by)
        def initialize(id:, kind:, across:, along:, joined_by: nil) = super

        # @param width [Length] that a strip can be at most
        # @return [Array<SmallCut>] the strips that it is joined from; itself alone where it needn't be
        #
        #   Cutting::SmallCuts.of([part_of_job("frill")]).first.strips(Length.cm(60)).size # => 5
        def strips(width)
          count, each = Strips.of(across, joined_by, width)
          (count > 1) ? Array.new(count) { with(across: each, joined_by: nil) } : [self]
        end
      end
      # Where one lies: in which leftover, how far along and across it, and whether it is turned on its side.
      SmallPlaced = Value.define(:cut, :leftover, :from, :aside, :turned)

      # Fits small parts (tiebacks, frills, tabs, patches) into what a plan leaves over: the largest first, each into
      # the smallest place that holds it; what is left of a place is parted in two and used again. What may be joined
      # and finds no place whole is cut in strips as long as the cloth is wide at most.
      class SmallCuts
        # A free rectangle of a leftover.
        Spot = Struct.new(:leftover, :from, :aside, :along, :across)

        # @return [Array<SmallPlaced>]
        attr_reader :placed
        # @return [Array<SmallCut>] those that find no place
        attr_reader :unplaced

        # @param parts [Array<SmallPartOfJob>]
        # @return [Array<SmallCut>] each cut alone
        #
        #   Cutting::SmallCuts.of([part_of_job("frill")]).map(&:kind) # => ["frill"]
        def self.of(parts)
          parts.flat_map do |one|
            Array.new(one.part.count) do
              part = one.part
              SmallCut.new(
                id: one.id,
                kind: part.class::KIND,
                across: part.length,
                along: part.depth,
                joined_by: part.joined_by
              )
            end
          end
        end

        # @param parts [Array<SmallPartOfJob>]
        # @param cloth [Cloth]
        # @return [Length] what they take of it where nothing left over takes them
        #
        #   Cutting::SmallCuts.length([part_of_job("frill")], cloth) # => 260 mm
        def self.length(parts, cloth) = new(of(parts), [], cloth.usable_width).to_buy(cloth)

        # @param cuts [Array<SmallCut>]
        # @param leftovers [Array<Leftover>]
        # @param width [Length, nil] that a strip can be at most: the cloth's; nil where nothing is joined
        def initialize(cuts, leftovers, width = nil)
          @width = width
          @places = leftovers.each_with_index.map do |one, index|
            Spot.new(index, Length::ZERO, Length::ZERO, one.along, one.across)
          end
          @placed, @unplaced = [], []
          cuts.sort_by { |cut| [-[cut.across, cut.along].max.mm, -cut.along.mm] }.each { |cut| place(cut) }
        end

        # What must be bought for those that find no place: rows across an endless cloth, each part the way that takes
        # less.
        # @param cloth [Cloth]
        # @return [Length] zero where all find one
        #
        #   Cutting::SmallCuts.new([], [], Length.cm(138)).to_buy(cloth) # => 0 mm
        def to_buy(cloth) =
          unplaced
            .group_by { |cut| [cut.across, cut.along] }
            .sum(Length::ZERO) { |size, same| rows(*size, same.size, cloth.usable_width) }

        private

        def place(cut)
          fitting = @places.flat_map { |place|
            [false, true].filter_map { |turned|
              if fits?(place, *size(cut, turned))
                [place.along * (place.across.mm / 1000), turned ? 1 : 0, place, turned]
              end
            }
          }
          _, _, place, turned = fitting.min_by { |area, side, _, _| [area, side] }
          return nowhere(cut) unless place

          @placed << SmallPlaced.new(
            cut: cut,
            leftover: place.leftover,
            from: place.from,
            aside: place.aside,
            turned: turned
          )
          @places.delete_if { |one| one.equal?(place) }
          @places.concat(rest(place, *size(cut, turned)))
        end

        # Strips of it may still find places.
        def nowhere(cut)
          strips = @width ? cut.strips(@width) : [cut]
          strips.one? ? @unplaced << cut : strips.each { |strip| place(strip) }
        end

        def size(cut, turned) = turned ? [cut.across, cut.along] : [cut.along, cut.across]

        def fits?(place, along, across) = along <= place.along && across <= place.across

        # The longer of the two places keeps the corner.
        def rest(place, along, across)
          beyond, beside = place.along - along, place.across - across
          whole_beyond = beyond >= beside
          [
            Spot.new(place.leftover, place.from + along, place.aside, beyond, whole_beyond ? place.across : across),
            Spot.new(place.leftover, place.from, place.aside + across, whole_beyond ? along : place.along, beside)
          ].select do |one|
            one.along.positive? && one.across.positive?
          end
        end

        def rows(across, along, count, width)
          [[across, along], [along, across]].filter_map do |wide, long|
            (wide <= width) ? long * Rational(count, (width / wide).floor).ceil : nil
          end
            .min || across * count
        end
      end

      # What small things a leftover still makes: for each kind of small part how many of its usual size, all alike.
      module Uses
        # What is longer is cloth still, and no offcut.
        LONG = Length.mm(2500)

        # The usual sizes: each kind's own example.
        #
        #   Cutting::Uses.usual.size # => 4
        def self.usual
          @usual ||= SmallParts.map { |kind|
            problems = Problems.new
            part = kind.build(kind.fields.read(kind.example.except("kind"), Units::MM, problems), problems)
            SmallCut.new(id: kind.kind, kind: kind.kind, across: part.length, along: part.depth)
          }.freeze
        end

        # @param leftover [Leftover]
        # @param cuts [Array<SmallCut>] the sizes to try
        # @return [Hash{String => Integer}] by kind, those that it makes at least one of
        #
        #   Cutting::Uses.of(Cutting::Leftovers.of(rolled, plan).first).keys # => ["frill", "patch", "tab", "tieback"]
        def self.of(leftover, cuts = usual)
          cuts
            .to_h do |cut|
              [
                cut.kind,
                [[cut.along, cut.across], [cut.across, cut.along]].map do |along, across|
                  (leftover.along / along).floor * (leftover.across / across).floor
                end
                  .max
              ]
            end
            .select { |_, count| count.positive? }
        end
      end
    end
  end
end
