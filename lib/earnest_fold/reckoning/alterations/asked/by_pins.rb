# frozen_string_literal: true

module EarnestFold
  module Reckoning
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
      module Pinning
        # @param values [Hash] as FIELDS read them
        # @param problems [Problems]
        # @return [Alteration, nil] nil where neither length nor pins were said, or nothing would hang
        #
        #   said = {existing_length: Length.cm(200), existing_hem: Allowance::NONE, hem: Allowance::NONE}
        #   ShortenKeepHem.build(said, Problems.new) # => nil
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

      def self.included(kind) = kind.extend(Pinning)

      # @return [Length] what comes out at the foot, the curtain hanging as it does after its top was taken in
      #
      #   altered("shorten_at_hem").taken_out_foot # => 770 mm
      def taken_out_foot = existing_length - rise - from_the_top
    end
  end
end
