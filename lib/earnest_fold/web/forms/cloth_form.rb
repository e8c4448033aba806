# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a cloth.
      class ClothForm < FieldForm
        NAMES = %w[name use width selvedge selvedge_in_seam vertical_repeat horizontal_repeat match one_way coated frays
          creeps curls loose printed shrink_percent mass price].freeze
        COLOUR = /\A#\h{6}\z/

        attr_reader :spec, :colour

        # @param stored [Hash] the spec as it is
        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param version [Integer, nil] of what is stored; nil for a new cloth
        def initialize(stored, colour, params, unit, version: nil)
          super(params, unit, seen: FieldForm.seen?(params, version))
          @stored, @colour_now = stored, colour
          @colour = (COLOUR.match?(said("colour").to_s) && anew?("colour")) ? said("colour") : colour
          @spec = params ? read : stored
        end

        def shown(name) = (name == "colour") ? @colour_now : super

        def field(name) = R::Cloth::FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @stored[name]

        def called(name) = Words.say("cloth_fields.#{name}")

        def read
          spec = NAMES.reduce(@stored) { |made, name| taken(made, name) }
          refuse("name", :missing) if spec["name"].to_s.empty?
          check_whole(spec)
          spec
        end

        # What its figures make together.
        def check_whole(spec)
          place = R::Problems.new
          values = R::Cloth::FIELDS.read({"id" => "new"}.merge(spec), @unit, place)
          R::Cloth.build(values, place) if values
          place.to_a.each { |problem| problems[problem.at.delete_prefix("/")] ||= problem }
        end
      end
    end
  end
end
