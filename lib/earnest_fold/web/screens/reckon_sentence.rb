# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # What Reckon asks of a new curtain: its heading by its drawing, most of it in a sentence, what is rarer behind
      # "more".
      module ReckonSentence
        R = Reckoning
        # The clauses of a cloth that is typed: its words' key and its fields by their names there.
        CLAUSES = {
          "of_cloth" => {width: "cloth.width", selvedge: "cloth.selvedge"},
          "repeats" => {repeat: "cloth.vertical_repeat", match: "cloth.match"},
          "at_price" => {price: "cloth.price"}
        }.freeze
        # In a sentence these are said otherwise than in a list.
        SAID = %w[opening.kind support.kind making.hem.kind cloth.match].freeze
        # The headings that most curtains have; the others stand behind "more".
        COMMON = %w[pencil_pleat hand_pleat eyelet wave rod_pocket tab_top].freeze
        # A cloth's figures that are typed behind "more".
        CLOTH_MORE = %w[cloth.horizontal_repeat cloth.one_way cloth.shrink_percent].freeze
        MORE = %w[
          rules method drop.readings.middle drop.readings.right ease drop.stand_up drop.offset opening.split
          support.diameter making.hem.turn_under making.side.kind making.side.turn_under making.seam making.squaring
          making.width_step making.trim making.accept_short_percent making.widths run pattern.place pattern.point
          pattern.meet
        ].freeze

        # @return [Boolean] whether the headings' drawings stand on the page already just as they are
        def same_headings? = @asked.same_heading?

        # @return [Array<Array(String, String, Boolean)>] each common heading's name, its drawing, whether it is chosen
        def headings = cards(COMMON)

        # @return [Array<Array(String, String, Boolean)>] the others
        def rarer_headings = cards(R::Headings.names - COMMON)

        def rarer_chosen? = !COMMON.include?(spec.dig("heading", "kind"))

        # @return [Array<Array(String, Hash{Symbol => Field})>] the words' key and the fields of each clause
        def sentence =
          @sentence ||= clauses.map { |key, paths| [key, paths.transform_values { |path| slot(path) }] }

        # @return [Array<Field>] everything else that is asked of a treatment and does something here
        def more
          @more ||= begin
            paths = MORE.select { |path| Work::SpecFields.field?(path, spec) } + heading_paths + lining_paths
            (paths - in_sentence).uniq.map { |path| field(path) } + [inner("interlining")] + cloth_more
          end
        end

        private

        def clauses = @clauses ||= [what, ends, hanging, *of_cloth, hem, lined]

        def cards(kinds) =
          kinds.map { |kind| [kind, HeadingIcons.of(R::Headings.fetch(kind)), kind == spec.dig("heading", "kind")] }

        def slot(path)
          shown = in_words(path.is_a?(Field) ? path : field(path))
          wanting.include?(shown.path) ? shown : shown.with(hint: taken_at(shown.path))
        end

        def in_words(shown)
          return shown unless shown.options && SAID.include?(shown.path)

          root = "reckon.said.#{shown.path.tr(".", "_")}"
          said = shown.options.to_h { |value, words| [value, Words.say("#{root}.#{value}", default: words)] }
          shown.with(options: said)
        end

        def what
          paths = {opening: "opening.kind", support: "support.kind"}
          case spec.dig("opening", "kind")
          when "dress_pair" then ["what_dress", {**paths, cover: "opening.cover"}]
          when "panels" then ["what_panels", {**paths, panels: "opening.panels", length: "support.length"}]
          else ["what", {**paths, length: "support.length"}]
          end
        end

        def ends
          paths = {left: "return_left", right: "return_right"}
          (spec.dig("opening", "kind") == "pair") ? ["ends_pair", {**paths, overlap: "overlap"}] : ["ends", paths]
        end

        # What says how full it is: a tape dictates it by its pitch.
        def hanging
          drop = "drop.readings.left"
          return ["hanging", {drop: drop, fullness: "heading.fullness"}] if field?("heading.fullness")

          ["hanging_dictated", {drop: drop, spacing: "heading.glider_spacing", pitch: "heading.hook_pitch"}]
        end

        # A cloth of the workroom's says its own figures.
        def of_cloth
          return [["of_ours", {cloth: faces}]] if ours

          CLAUSES.map { |key, paths| [by_tape(key), paths] }.unshift(["of_ours", {cloth: faces}])
        end

        # A clause is said otherwise in inches where its words speak of another measure.
        def by_tape(key) = (unit.inches? && Words.say?("reckon.says.#{key}_inches")) ? "#{key}_inches" : key

        def hem
          paths = {kind: "making.hem.kind", depth: "making.hem.depth", sides: "making.side.depth"}
          top = heading_paths.find { |path| %w[heading.top_turn heading.buckram].include?(path) }
          top ? ["hem_and_top", {**paths, top: top}] : ["hem", paths]
        end

        def lined = ["lined", {lining: linings}]

        def faces = field("face", options: options("face", "reckon.typed_cloth"))

        def linings = inner("lining")

        def inner(use)
          typed = {Forms::ReckonForm::INNER[use].to_s => Words.say("reckon.typed_#{use}")}
          field("#{use}.cloth", options: options(use, "reckon.without_#{use}").merge(typed))
        end

        def options(use, none) =
          {"" => Words.say(none)}.merge(
            sheet.cloth_records.select { |one| one.id.positive? && one.spec["use"] == use }
              .to_h { |one| [one.id.to_s, one.spec["name"]] }
          )

        # @return [Boolean] whether the cloth is one of the workroom's
        def ours = !spec["face"].nil? && spec["face"] != Work::Quick::FACE.to_s

        def field?(path) = Work::SpecFields.field?(path, spec)

        def heading_paths = @heading_paths ||= Work::SpecFields.heading_paths(spec)

        def lining_paths = spec["lining"] ? Cloth::LINING : []

        def cloth_more = ours ? [] : CLOTH_MORE.map { |path| field(path) }

        def in_sentence = clauses.flat_map { |_, paths| paths.values.grep(String) } + %w[face lining.cloth]
      end
    end
  end
end
