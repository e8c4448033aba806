# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A station without a screen of its own: the fields that say they are filled in there.
      class Filled < Desk
        # @param station [String]
        # @return [#new] its screen
        def self.at(station) = (@at ||= {})[station] ||= Class.new(self) { const_set(:STATION, station) }

        def view = :_filled

        def once(*name, &block) = super(station, *name, &block)

        # @return [Array<Field>]
        def fields =
          entry.fields.of_station(station).flat_map do |field|
            inner = field.kind.inner(spec[field.key])
            paths = inner ? inner.paths(spec[field.key]).map { |path| "#{field.key}.#{path}" } : [field.key]
            paths.map { |path| field(path) }
          end

        # @return [Reckoning::Treatment, nil] somebody's own curtain is none
        def treatment = entry.altered_as ? nil : super
      end
    end
  end
end
