# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # A customer's own curtain, or ready cloth, as it came in: what an alteration needs to know beside its lengths.
    # `curtains` is how many are alike (2 are a pair), `width` how wide one lies flat, `widths` how many breadths of
    # cloth it is made of, `band` how deep its heading is, `motif` how far below the top edge a motif sits; from where
    # to where its length was asked for, in the customer's words.
    class OwnCurtain < Value.define(
      :name,
      :curtains,
      :width,
      :widths,
      :band,
      :motif,
      :printed,
      :coated,
      :rubber_backed,
      :frays,
      :creeps,
      :light,
      :lined,
      :way,
      :length_from,
      :length_to,
      :notes
    )
      WAYS = %w[across_width across_length].freeze
      MEASURED = Declare.at(
        "measure",
        name: Declare.text,
        curtains: Declare.count(1, least: 1, most: 60),
        width: Declare.length(nil, least: :over_zero),
        widths: Declare.count(1, least: 1, most: 40),
        band: Declare.length(Length.mm(100)),
        motif: Declare.length(nil),
        printed: Declare.flag(false),
        coated: Declare.flag(false),
        rubber_backed: Declare.flag(false),
        frays: Declare.flag(false),
        creeps: Declare.flag(false),
        light: Declare.flag(false),
        lined: Declare.flag(false),
        length_from: Declare.text,
        length_to: Declare.text,
        notes: Declare.text("", most: 2000)
      )
      FIELDS = Fields.new(
        **MEASURED,
        way: Declare.choice(WAYS, nil, said: "alter.ways")
      )
      private_constant :MEASURED

      # @param count [Integer] of curtains
      # @return [Array<String>] which each is
      #
      #   OwnCurtain.hands(2) # => ["left", "right"]
      def self.hands(count)
        case count
        when 1
          %w[single]
        when 2
          %w[left right]
        else
          (1..count).map { |number| "panel #{number}" }
        end
      end

      # @return [Array<String>] which curtain each is
      #
      #   altering_case.curtain.hands # => ["single"]
      def hands = OwnCurtain.hands(curtains)

      # @return [Boolean] whether a machine's needle marks it, whatever it is coated with
      #
      #   altering_case.curtain.coating? # => false
      def coating? = coated || rubber_backed

      # @return [Length] how wide it lies flat; a width of cloth each where nobody has measured it
      #
      #   altering_case.curtain.flat_width # => 1300 mm
      def flat_width = width || Length.mm(1300) * widths
    end

    OwnCurtain::USUAL = OwnCurtain.new(**OwnCurtain::FIELDS.to_h { |field| [field.name, field.default] })
  end
end
