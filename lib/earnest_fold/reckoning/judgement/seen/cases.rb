# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What the judgement looks at. `reckoning` is nil before the cloth is chosen; `behind` is the next layer towards
    # the glass at the same window, nil where there is none; `house` is what the workroom decides once; `counted` the
    # small parts held against what is on hand, nil where nobody holds any; `cutting` the cut that is about to be
    # made, nil away from the table.
    JudgementCase = Value.define(:treatment, :reckoning, :behind, :house, :counted, :cutting) do
      # @return [Heading]
      #
      #   seen.heading.taped? # => true
      def heading = treatment.heading

      # @return [Boolean] whether there is a lining
      #
      #   seen.lined? # => false
      def lined? = !treatment.lining.nil?

      # @return [Array<Curtain>] none before there is a cloth
      #
      #   seen.curtains.size # => 2
      def curtains = reckoning ? reckoning.curtains : []

      # @return [Boolean] whether there is more than one curtain to be alike
      #
      #   seen.pair? # => true
      def pair? = curtains.size > 1

      # @return [Boolean] whether a tape is put on
      #
      #   seen.taped? # => true
      def taped? = !reckoning.nil? && heading.taped?

      # @return [Boolean] whether its hem is sewn
      #
      #   seen.hemmed? # => true
      def hemmed? = treatment.making.hem.taken.positive?

      # @return [Boolean] whether a coated cloth lies between the others
      #
      #   seen.coated? # => false
      def coated? = lined? && treatment.lining.cloth.coated

      # @param layer [Symbol] :face, :lining, :interlining or :trimming
      # @return [Material, nil] nil for what is no cloth
      #
      #   seen.material(:face).frays # => false
      def material(layer)
        cloth = treatment.face if layer == :face
        cloth = treatment.trimmed_from if layer == :trimming
        cloth = treatment.public_send(layer)&.cloth if %i[lining interlining].include?(layer)
        cloth && Material.of(cloth)
      end

      # @return [Rational, nil] kilograms of one curtain, about
      #
      #   seen.each_mass.round # => 2
      def each_mass = reckoning&.mass && reckoning.mass / curtains.size

      # @return [Array<Hardware>] none before there are figures
      #
      #   seen.hardware.map(&:name) # => [:hooks, :weights, :tape_length]
      def hardware = counted || (reckoning ? HardwareCount.of(reckoning, [reckoning], {}) : [])

      # @return [Array<Curtain>] as asked for, where no cloth is chosen yet
      #
      #   seen.likely_curtains.size # => 2
      def likely_curtains = reckoning ? curtains : treatment.spans.map { |span| Curtain.asked(treatment, span) }
    end

    # A cut about to be made, for the judgement: its cloth, its length, whether the piece was measured when it came
    # (nil where there is no piece), from which batches the job is cut, whether it is the first of its piece, of its
    # treatment, of its cloth, and what comes off or stays behind when it is made (a {Cutting::Leftover}, or nil).
    CutCase = Value.define(
      :cloth,
      :length,
      :measured,
      :batches,
      :first_on_piece,
      :first_of_treatment,
      :first_on_cloth,
      :leftover
    )

    # A heading of which nobody has said anything.
    class Unsaid < Value.define
      include Heading

      HEADING = new
    end

    # An alteration looked at by the judgement. `noted` is whether anything was noted of the curtains as they came in;
    # `priced` what the alteration comes to ({Account::Priced}), nil away from the Account.
    AlterCase = Value.define(:made, :house, :noted, :priced) do
      # @return [Alteration]
      #
      #   seen_altered.alteration.kind # => "shorten_at_hem"
      def alteration = made.alteration

      # @return [Heading] what it hangs by, where that was said
      #
      #   seen_altered.heading.taped? # => false
      def heading = alteration.respond_to?(:heading) ? alteration.heading : Unsaid::HEADING

      # @return [OwnCurtain]
      #
      #   seen_altered.curtain.curtains # => 1
      def curtain = made.curtain

      # @return [Material, nil] the customer's own cloth, as far as it was asked; nil for what is none
      #
      #   seen_altered.material(:face).printed # => false
      def material(layer)
        return unless layer == :face

        Material.new(
          name: "",
          coated: curtain.coating?,
          frays: curtain.frays,
          creeps: curtain.creeps,
          curls: false,
          loose: false,
          printed: curtain.printed,
          mass: curtain.light ? Material::LIGHT : nil
        )
      end

      # @return [Array<Curtain>] none where they hang as they did: they came made
      #
      #   seen_altered.curtains.size # => 0
      def curtains = Array.new(alteration.headed ? curtain.curtains : 0) { alteration.headed }

      # @return [Boolean] whether there is more than one to be alike
      #
      #   seen_altered.pair? # => false
      def pair? = made.pair?

      # @return [nil] nobody has weighed it
      #
      #   seen_altered.each_mass # => nil
      def each_mass = nil

      # @return [Boolean] whether the old hem is let down
      #
      #   seen_altered.let_down? # => false
      def let_down? = alteration.respond_to?(:let_down) && alteration.let_down
    end
  end
end
