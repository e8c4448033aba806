# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # What a cloth does under the hands, whoever's it is: what is said at a step hangs on it.
    Material = Value.define(:name, :coated, :frays, :creeps, :curls, :loose, :printed, :mass) do
      # @param cloth [Cloth]
      # @return [Material]
      #
      #   Material.of(cloth).mass # => (250/1)
      def self.of(cloth) = new(**members.to_h { |name| [name, cloth.public_send(name)] })

      # @return [Boolean] whether it is so light that pins and sticky tape tell (in grams per square metre)
      #
      #   Material.of(cloth).light # => false
      def light = !mass.nil? && mass <= Material::LIGHT

      # @return [Boolean] whether it drags at the needle
      #
      #   Material.of(cloth).heavy # => false
      def heavy = !mass.nil? && mass >= Material::HEAVY
    end
    Material::LIGHT = 150
    Material::HEAVY = 300
  end
end
