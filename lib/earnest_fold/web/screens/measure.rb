# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Measure station: the window's elevation with its fields round it.
      class Measure < Desk
        STATION = "measure"
        # What an opening of a kind is given besides.
        OPENINGS = {
          "dress_pair" => ["opening.cover"],
          "panels" => ["opening.panels"]
        }.freeze
        # What the workroom's hardware measures, where a point is named that needs it.
        POINTS = {
          "glider_eye" => %w[hook_drop],
          "ring_eye" => %w[hook_drop],
          "support_top" => %w[hook_drop glider_drop ring_drop eyelet_rise],
          "pole_upper_side" => %w[hook_drop ring_drop eyelet_rise]
        }.freeze
        SITE = R::Site::FIELDS.paths.map { |path| "site.#{path}" }.freeze
        WALL = R::Wall::FIELDS.paths.map { |path| "wall.#{path}" }.group_by { |path| path.split(".")[1].to_sym }.freeze
        FEET = {"floor" => "clear", "sill" => "clear", "worktop" => "clear", "below_sill" => "below"}.freeze

        def self.point_paths(spec)
          from, to = spec.fetch("drop", {}).values_at("measured_from", "measured_to")
          (POINTS.fetch(from, []) + [FEET[to]]).compact.map { |name| "drop.points.#{name}" }
        end

        def supports = field("support.kind")

        def openings = field("opening.kind")

        # @return [Array<Field>] what this kind of opening is given besides
        def opening_fields = OPENINGS.fetch(spec.dig("opening", "kind"), []).map { |path| field(path) }

        # @return [Field] the length that decides, where it stands on the drawing: what each of a dress pair covers,
        #   else the support's
        def main_length = dress? ? field("opening.cover") : field("support.length")

        # @return [Fold] what matters at some windows: how a pair shares its support, how far that stands off the wall
        def beyond =
          fold(:beyond, opening_split + %w[support.projection support.height])

        # @return [Array<Field>] what else is asked of the opening: of a dress pair how far apart its ends are, which
        #   only the drawing takes
        def beside_opening =
          if dress?
            [field("support.length").with(label: Words.say("fields.support_length_of_dress_pair"))]
          else
            opening_fields
          end

        # @return [Boolean] whether two leading edges cross when it is closed
        def overlaps? = spec.dig("opening", "kind") == "pair"

        def dress? = spec.dig("opening", "kind") == "dress_pair"

        # @return [Array<Field>] the three places at which a drop is taken
        def readings = Work::Readings::ALWAYS.map { |path| field(path) }

        # @return [Array<Field>] what the room is
        def site = SITE.map { |path| field(path) }

        # @return [Array<Array(Symbol, Array<Field>)>] what is on the wall behind, with its fields
        def wall =
          WALL
            .slice(*there)
            .map do |name, paths|
              [name, paths.map { |path| field(path).with(label: Words.say("wall_fields.#{path.split(".").last}")) }]
            end

        # @return [Array<Symbol>] what could be there and isn't
        def bare = WALL.keys - there

        # @return [Array<Field>] readings beyond the three
        def more_readings = (Work::Readings.paths(spec) - Work::Readings::ALWAYS).map { |path| field(path) }

        # @return [Array<Field>] from which point to which the drop was measured, and what the house says of those
        #   points
        def points
          [
            field("drop.measured_from"),
            field("drop.measured_to"),
            *(field("support.diameter") if spec.dig("drop", "measured_from").to_s.match?(/top|upper/)),
            *self.class.point_paths(spec).map { |path| field(path) }
          ]
        end

        # @return [Array<Field>] what somebody else ordered
        def ordered_fields = R::Ordered::FIELDS.names.map { |name| field("ordered.#{name}") }

        # @return [Boolean]
        def ordered? = spec.key?("ordered")

        # @return [Array<Reckoning::Ordered::Beside>] beside what the rules make of it
        def ordered = reckoning ? reckoning.ordered : []

        # Where a figure of it can be made as it was ordered by giving it.
        TAKEN_AS = {widths: "making.widths", pleats: "heading.pleats"}.freeze

        # @param beside [Reckoning::Ordered::Beside]
        # @return [String, nil] the field that takes it; nil where none does, or it is made so
        def takes(beside)
          path = TAKEN_AS[beside.name]
          path if path && beside.differs? && Work::SpecFields.field?(path, spec)
        end

        # @return [String] SVG
        def drawing =
          once(:elevation) { Drawings::Elevation.new(measured, says: says).to_s }

        # @return [String, nil] SVG: the window's layers from above
        def plan
          near = sheet.layers(entry)
          once(:window_plan) do
            layers = near.filter_map { |layer| plan_layer(layer) }
            layers.empty? ? nil : Drawings::WindowPlan.new(layers, unit).to_s
          end
        end

        # @return [Reckoning::StackBack, nil]
        def stack_back
          return unless treatment

          @stack_back ||= R::StackBack.of(treatment, reckoning ? reckoning.curtains : asked(treatment), house)
        end

        # @return [Reckoning::Length, nil] the glass that the drawn-back curtains leave clear
        def glass_clear = stack_back&.glass_clear(treatment.wall.glass)

        private

        def opening_split = overlaps? ? ["opening.split"] : []

        def there = spec.fetch("wall", {}).keys.map(&:to_sym)

        def plan_layer(layer)
          made = layer.reckoning ? layer.reckoning.treatment : sheet.before_cloth(layer)
          made &&
            Drawings::WindowPlan::Layer.new(
              treatment: made,
              curtains: layer.reckoning ? layer.reckoning.curtains : asked(made),
              colour: sheet.colour(made.face)
            )
        end

        def asked(treatment) = treatment.spans.map { |span| R::Curtain.asked(treatment, span) }

        def measured
          Drawings::Elevation::Given.new(
            length: whole_length,
            readings: reading_lengths,
            stand_up: drop_of(:stand_up),
            offset: drop_of(:offset),
            overlap: own("overlap"),
            return_left: own("return_left"),
            return_right: own("return_right"),
            shares: shares,
            colour: colour,
            kind: spec.dig("support", "kind"),
            features: treatment ? treatment.wall.features : {},
            stacks: stack_back ? stack_back.places : []
          )
        end

        def own(name) = treatment ? treatment.public_send(name) : length(name) || R::Length::ZERO

        # As it follows from the points that were named too, once there is enough to say.
        def drop_of(name) = treatment ? treatment.drop.public_send(name) : length("drop.#{name}") || R::Length::ZERO

        # Which parts of the support each curtain covers, from 0 to 1.
        def shares
          split = R::Exact.read(spec.dig("opening", "split") || "0.5").to_f
          case spec.dig("opening", "kind")
          when "pair"
            [[0, split], [split, 1]]
          when "dress_pair"
            dress_shares
          when "panels"
            (0...spec.dig("opening", "panels").to_i).map do |index|
              [index, index + 1].map { |place| place.to_f / spec.dig("opening", "panels") }
            end
          else
            [[0, 1]]
          end
        end

        def dress_shares
          cover, whole = length("opening.cover"), whole_length
          share = (cover && whole) ? [(cover / whole).to_f, 0.5].min : 0.2
          [[0, share], [1 - share, 1]]
        end

        def length(path)
          (@lengths ||= {}).fetch(path) do
            stored = Work::SpecFields.stored(path, spec)
            @lengths[path] = stored && R::LengthReader.read(stored, unit)
          end
        end

        # How far apart a dress pair's outer ends are follows from what it covers, where nobody has said.
        def whole_length = length("support.length") || treatment&.support&.length

        def reading_lengths =
          @reading_lengths ||=
            Work::Readings.all(spec).transform_values { |stored| R::LengthReader.read(stored, unit) }

        def says
          readings = reading_lengths.map do |place, length|
            "#{Words.field_label("drop.readings.#{place}").downcase} #{Words.with_unit(length, unit)}"
          end
          Words.say("drawings.elevation", support: whole_length || Words.say("drawings.not_measured"),
            readings: readings.empty? ? Words.say("drawings.not_measured") : readings.join(", "), unit: unit)
        end
      end
    end
  end
end
