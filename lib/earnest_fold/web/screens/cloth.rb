# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The Cloth station: cloth and lining, widths and drops, the flat curtain, and the choices side by side.
      class Cloth < Desk
        include Nearby

        STATION = "cloth"
        MAKING = %w[making.hem.kind making.hem.depth making.hem.turn_under making.side.kind making.side.depth
          making.side.turn_under making.seam making.squaring making.width_step making.trim making.accept_short_percent
          run].freeze
        LINING = %w[lining.lift lining.inset lining.side_turn lining.top lining.hem.kind lining.hem.depth
          lining.hem.turn_under lining.run].freeze
        PATTERN = %w[pattern.place pattern.point pattern.meet].freeze

        # @return [String] where it is told how near this is; another one after every change
        def near_address = Paths.near(job.id, entry.id, entry.record.version)

        def faces = field("face", options: cloths("face", "fields.choose_cloth"))

        def linings = field("lining.cloth", options: cloths("lining", "fields.no_lining"))

        def interlinings = field("interlining.cloth", options: cloths("interlining", "fields.no_interlining"))

        # What every curtain has of its making, and every lining of its own; the rest is folded.
        EVERYDAY = %w[making.hem.kind making.hem.depth making.side.kind making.side.depth lining.lift lining.inset
          lining.hem.depth].freeze

        # @return [Array<Field>] the allowances that every curtain has, and how the pattern lies
        def everyday =
          (making_paths + lining_paths).select { |path| everyday?(path) }.map { |path| field(path) } + pattern_fields

        # @return [Fold] the other allowances and habits of this treatment
        def rarer = fold(:making, making_paths.reject { |path| everyday?(path) })

        # @return [Fold, nil] the lining's
        def lining_rarer = fold(:lining, lining_paths.reject { |path| everyday?(path) })

        # @return [Array<String>] the allowances and habits of this treatment
        def making_paths = ["weighting", *MAKING]

        # @return [Field] by which method it is made: those that suit it; one chosen earlier that doesn't by now is said
        def method_field
          made = sheet.asked(entry)
          suiting = (made ? R::Methods.suiting(made) : R::Methods::Kinds.to_a).map(&:name)
          usual = made ? Words.say("methods.usual", method: method_name(suiting.first)) : Words.say("methods.not_said")
          options = {"" => usual}.merge(suiting.to_h { |name| [name, method_name(name)] })
          shown = field("method", options: chosen_too(options, made))
          suiting.include?(ruled.text("method")) ? shown : shown.with(rule: nil)
        end

        # @return [Array<String>] what was measured of a bagged lining's wrap
        def wrap_paths = bagged? ? %w[wrap_measured] : []

        # @return [Boolean]
        def bagged? = !reckoning.nil? && reckoning.treatment.bagged?

        # @return [Array<Array(String, Reckoning::Length)>] how wide each lining is cut, and how much narrower than the
        #   face: those that are alike once
        def lining_cuts
          return [] unless reckoning&.lining

          reckoning
            .curtains
            .map { |one| reckoning.lining_cut_width(one).then { |cut| [cut, one.cut_width - cut] } }
            .uniq
        end

        def lining_paths = spec["lining"] ? LINING + wrap_paths : []

        def pattern_fields = patterned? ? PATTERN.map { |path| field(path) } : []

        # @return [Integer] figures here that depart from the house's rules
        def departures
          figures = ruled.departures(making_paths + (spec["lining"] ? LINING : []))
          figures + (method_field.rule&.departs ? 1 : 0)
        end

        def patterned? = face&.repeats?

        def lining? = part == "lining"

        # @return [Array<Array(String, String)>] what can be looked at: each curtain, and the lining
        def parts
          made = reckoning.curtains.map { |curtain| [curtain.hand, Words.hand(curtain.hand)] }
          made += [["lining", Words.say("parts.lining")]] if reckoning.lining
          if room.size > 1 || made.size > 1
            made + [["room", Words.say((room.size > 1) ? "parts.room" : "parts.pair")]]
          else
            made
          end
        end

        def room? = part == "room"

        # @return [String] the part that is looked at
        def looked_at = (lining? || room?) ? part : curtain.hand

        # @return [Array<Work::Treatment>] the windows of this room that can be drawn
        def room =
          @room ||= sheet.entries.select do |other|
            other.reckoning && other.window.room == entry.window.room &&
              (other.id == entry.id || other.window.id != entry.window.id)
          end

        # @return [String, nil] SVG
        def drawing
          return unless curtain
          if room?
            return (
              Drawings::RoomCurtains.new(
                room.map { |other| [other.title, other.reckoning, sheet.colour(other.reckoning.treatment.face)] },
                unit
              ).to_s
            )
          end

          once(:flat, looked_at) do
            Drawings::FlatCurtain.of(reckoning, curtain, unit, colour: colour, lining: lining?).to_s
          end
        end

        # @return [Array<Array(String, Reckoning::Level::At)>] each window of the room with where its pattern stands
        def levels = room.filter_map { |other| (at = R::Level.of(other.reckoning)) && [other.title, at] }

        # @return [String, nil] whether the room's pattern is level, in words
        def level_words
          return if levels.size < 2

          fold = R::Level.fold(room.map(&:reckoning))
          Words.say(fold ? "levels.#{fold}" : "levels.apart")
        end

        # @return [Array<Reckoning::Choice>]
        def choices = entry.reckoned.choices

        # @return [String] what a choice is like beside the one asked for
        def remark(choice)
          return Words.say("choices.chosen") if choice.chosen?
          return Words.say("choices.no_fuller") if reckoning.treatment.heading.dictates?

          share = choice.reckoning.curtains.map(&:fullness).min / reckoning.treatment.heading.asked
          Words.say("choices.#{remark_key(share)}", asked: reckoning.treatment.heading.asked)
        end

        # @return [Reckoning::ClothReckoning] for this treatment alone
        def alone(cloth) = entry.reckoned.alone(cloth)

        def widths_given? = !spec.dig("making", "widths").nil?

        private

        # What is turned under matters where a fold is single.
        def everyday?(path)
          return true if EVERYDAY.include?(path) || path == "wrap_measured"

          folds = %w[making.hem making.side].find { |part| path == "#{part}.turn_under" } or return false
          spec.dig(*folds.split("."), "kind") == "single"
        end

        def method_name(name) = Words.say("methods.#{name}")

        def chosen_too(options, made)
          chosen = spec["method"]
          return options if chosen.nil? || options.key?(chosen)

          said = Words.say(
            "methods.unsuited",
            method: method_name(chosen),
            usual: method_name(made.order_of_work.name)
          )
          options.merge(chosen => said)
        end

        def remark_key(share)
          return :thin if share < 19/20r
          return :under if share < 1

          (share > 27/20r) ? :heavy : :enough
        end

        # Those made for the use, and whichever is in use already.
        def cloths(use, none)
          taken = (use == "face") ? spec["face"] : spec.dig(use, "cloth")
          records = sheet.cloth_records.select { |record| record.spec["use"] == use || record.id.to_s == taken }
          {"" => Words.say(none)}.merge(records.to_h { |record| [record.id.to_s, record.spec["name"]] })
        end
      end
    end
  end
end
