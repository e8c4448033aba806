# frozen_string_literal: true

module EarnestFold
  module Work
    # Something to be said that is not in words yet: the place of its sentence in the locale file, and the facts that
    # fill it. {Words.told} says it.
    #
    #   Work::Told.of("hanging.leads_right").key # => "hanging.leads_right"
    Told = Reckoning::Value.define(:key, :data) do
      # @param key [String]
      # @param data [Hash] lengths, counts and texts; `hand` a curtain, `support` its kind
      #
      #   Work::Told.of("hanging.last").key # => "hanging.last"
      def self.of(key, **data) = new(key: key, data: data)

      # @param hand [String] "left", "panel 2"
      #
      #   Work::Told.hand("left").key # => "hands.left"
      def self.hand(hand) = of("hands.#{hand[/\A\w+/]}", number: hand[/\d+/])
    end
  end
end
