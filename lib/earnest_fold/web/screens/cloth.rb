# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Cloth station: cloth and lining, widths and drops, the flat curtain, and the choices side by side.
      class Cloth < Desk
        STATION = "cloth"
        MAKING = %w[making.hem.depth making.side.depth making.seam making.squaring].freeze
        LINING = %w[lining.lift lining.inset lining.hem.depth].freeze
        PATTERN = %w[pattern.place pattern.point].freeze

        def self.paths(spec)
          lined = spec["lining"] ? LINING : []
          ["face", "lining.cloth", "making.widths", "making.width_step", *MAKING, *lined, *PATTERN]
        end

        def faces = field("face", options: cloths("face", "fields.choose_cloth"))

        def linings = field("lining.cloth", options: cloths("lining", "fields.no_lining"))

        def making_fields = MAKING.map { |path| field(path) }

        def lining_fields = spec["lining"] ? LINING.map { |path| field(path) } : []

        def pattern_place = field("pattern.place", options: R::Pattern::PLACES.to_h { |place| [place, Words.say("places.#{place}")] })

        def pattern_point = field("pattern.point")

        def patterned? = face&.repeats?

        def lining? = part == "lining"

        # @return [Array<Array(String, String)>] what can be looked at: each curtain, and the lining
        def parts
          made = reckoning.curtains.map { |curtain| [curtain.hand, Words.hand(curtain.hand)] }
          reckoning.lining ? made + [["lining", Words.say("parts.lining")]] : made
        end

        # @return [String, nil] SVG
        def drawing = curtain && Drawings::FlatCurtain.new(reckoning, curtain, unit, colour: colour, lining: lining?).to_s

        # @return [Array<Reckoning::Choice>]
        def choices = @choices ||= reckoning ? R::Choices.of(reckoning) : []

        # @return [String] what a choice is like beside the one asked for
        def remark(choice)
          return Words.say("choices.chosen") if choice.chosen?

          share = choice.reckoning.curtains.map(&:fullness).min / reckoning.treatment.heading.asked
          Words.say("choices.#{remark_key(share)}", asked: reckoning.treatment.heading.asked)
        end

        # @return [Reckoning::ClothReckoning] for this treatment alone
        def alone(cloth) = R::ClothReckoning.of(cloth, [reckoning])

        def widths_given? = !spec.dig("making", "widths").nil?

        private

        def remark_key(share)
          return :thin if share < 19/20r
          return :under if share < 1

          (share > 27/20r) ? :heavy : :enough
        end

        def cloths(use, none)
          records = sheet.cloth_records.select { |record| record.spec["use"] == use }
          {"" => Words.say(none)}.merge(records.to_h { |record| [record.id.to_s, record.spec["name"]] })
        end
      end
    end
  end
end
