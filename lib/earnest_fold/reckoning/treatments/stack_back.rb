# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # Where the curtains stand when they are drawn back: from the support's left end, each from where to where. About:
    # how tightly folds lie depends on the cloth.
    class StackBack < Value.define(:places, :length)
      # @param treatment [Treatment]
      # @param curtains [Array<Curtain>]
      # @param house [HouseRules]
      # @return [StackBack]
      #
      #   StackBack.of(treatment, reckoning.curtains, house).places.first # => [0 mm, 370 mm]
      def self.of(treatment, curtains, house)
        length = treatment.support.length
        widths = curtains.map { |curtain| Folds.stacked(treatment, curtain, house) }
        return new(places: dress(treatment, length), length: length) if treatment.opening.kind == "dress_pair"

        starts = curtains.each_index.map { |index| length * index / curtains.size }
        places = curtains.each_index.map { |index| place(curtains[index], widths[index], starts[index], length) }
        new(places: places.freeze, length: length)
      end

      # A curtain stacks away from its leading edge; a panel within its own share of the support.
      #
      #   StackBack.place(curtain, Length.cm(20), Length::ZERO, Length.cm(200)) # => [0 mm, 200 mm]
      def self.place(curtain, width, start, length)
        return [length - width, length] if curtain.leads == :left

        first = curtain.hand.start_with?("panel") ? start : Length::ZERO
        [first, first + width]
      end

      # A dress pair is never drawn.
      #
      #   dressed = given("opening" => {"kind" => "dress_pair", "cover" => "42 cm"})
      #   StackBack.dress(dressed, Length.cm(180)).last # => [1380 mm, 1800 mm]
      def self.dress(treatment, length)
        cover = treatment.opening.cover
        [[Length::ZERO, cover], [length - cover, length]].freeze
      end

      # @return [Length] the widest stack
      #
      #   StackBack.of(treatment, reckoning.curtains, house).widest # => 370 mm
      def widest = places.map { |from, to| to - from }.max

      # @param glass [Feature, nil]
      # @return [Length, nil] how much of the glass no stack covers; nil where nobody has said where the glass is
      #
      #   glass = Feature.new(from_left: Length.cm(40), width: Length.cm(100), stands_off: nil, down: nil, height: nil)
      #   StackBack.of(treatment, reckoning.curtains, house).glass_clear(glass) # => 1000 mm
      def glass_clear(glass)
        return unless glass&.width&.positive?

        covered = places
          .map { |from, to| [[to, glass.to_right].min - [from, glass.from_left].max, Length::ZERO].max }
          .reduce(:+)
        [glass.width - covered, Length::ZERO].max
      end
    end
  end
end
