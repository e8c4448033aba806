# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a cloth.
      class ClothForm
        include Merging

        R = Reckoning
        NAMES = %w[name use width selvedge selvedge_in_seam vertical_repeat horizontal_repeat match one_way coated frays
          creeps curls loose shrink_percent mass price].freeze
        COLOUR = /\A#\h{6}\z/

        attr_reader :problems, :spec, :colour

        # @param stored [Hash] the spec as it is
        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param version [Integer, nil] of what is stored; nil for a new cloth
        def initialize(stored, colour, params, unit, version: nil)
          @stored, @params, @unit, @problems = stored, params || {}, unit, {}
          @colour_now = colour
          @saw = Saw.new(@params) { |name| (@params["version"] == version.to_s || version.nil?) ? shown(name) : nil }
          @colour =
            (COLOUR.match?(@params["colour"].to_s) && mine?("colour", @params["colour"])) ? @params["colour"] : colour
          @spec = params ? read : stored
        end

        def valid? = problems.empty? && clashes.empty?

        # @return [String] what stands in the field: as typed, else as stored
        def text(name)
          @params[name].is_a?(String) ? @params[name] : shown(name)
        end

        # @return [String] what is stored of a field, as a person reads it
        def shown(name)
          return @colour_now if name == "colour"

          value = @stored[name]
          return (value == true) ? "yes" : "no" if kind(name).is_a?(R::FieldKinds::FlagKind)

          SpecFields.text(value, kind(name), @unit)
        end

        private

        def called(name) = Words.say("cloth_fields.#{name}")

        def kind(name) = R::Cloth::FIELDS.fetch(name.to_sym).kind

        def read
          spec =
            NAMES.reduce(@stored) do |made, name|
              if @params[name].is_a?(String) && mine?(name, @params[name].strip)
                taken(made, name, @params[name].strip)
              else
                made
              end
            end
          problems["name"] ||= R::Problem.new(at: "name", code: :missing, data: {}) if spec["name"].to_s.empty?
          problems.compact!
          check_whole(spec)
          spec
        end

        def taken(spec, name, text)
          return spec.except(name) if text.empty?

          spec.merge(name => SpecFields.to_store(text, kind(name), @unit))
        end

        # The fields' own problems, then what their figures make together.
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
