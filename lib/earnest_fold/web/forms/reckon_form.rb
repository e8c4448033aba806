# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What was typed at Reckon: a treatment or an alteration that nobody keeps, from the house's rules and what stands
      # in the address. Another heading, set, method or alteration brings its own figures: what the address says of the
      # old one's goes with it.
      class ReckonForm
        R = Reckoning
        # The typed fields of one work, each taken where it can be read; what they make together is told apart.
        class Typed < TreatmentForm
          private

          def deciding(changed) = changed.sort_by { |path| BRINGING.include?(path) ? 0 : 1 }

          def check_whole = nil
        end

        # What is typed of a cloth that isn't one of the workroom's.
        CLOTH = %w[width selvedge vertical_repeat horizontal_repeat match one_way shrink_percent price].freeze
        # What brings other figures, with what it brings.
        DECIDING = {
          "kind" => ->(_) { true },
          "heading.kind" => ->(path) { path.start_with?("heading.") && path != "heading.fullness" },
          "rules" => ->(path) { RuleSetForm.ruled?(path) },
          "method" => ->(path) { RuleSetForm.ruled?(path) }
        }.freeze
        # What is behind the face, where it is none of the workroom's: of the usual width.
        INNER = {"lining" => Work::Quick::LINING, "interlining" => Work::Quick::INTERLINING}.freeze
        USUAL_WIDTH = {"cm" => "137 cm", "mm" => "1370 mm", "in" => "54 in"}.freeze
        LONGEST = 200

        # @return [Reckoning::Unit]
        attr_reader :unit
        # @return [Work::Job] with that work alone
        attr_reader :job
        # @return [ClothForm] of the cloth that was typed
        attr_reader :cloth
        # @return [ClothForm] the same as it is shown, in the unit of this page
        def cloth_shown = @cloth_shown ||= ClothForm.new(typed_cloth, "", nil, unit)

        # @return [TreatmentForm]
        attr_reader :fields

        # @param params [Hash]
        # @param settled [Store::House::Record]
        # @param cloths [Array<Store::Records::Cloth>] the workroom's
        def initialize(params, settled, cloths)
          @texts = params.to_h { |name, text| [name, text] }.select { |name, text| plain?(name) && plain?(text) }
          @settled = settled
          @unit = unit_named("unit") || settled.rules.unit(settled.unit)
          @typed_in = unit_named("was_unit") || @unit
          @cloth = cloth_form
          @records = cloths + typed_cloths
          @begun = started
          @fields = read(@begun)
          @job = Work::Quick.new(settled, @records, @unit, @fields.spec).job
        end

        # @return [Work::Treatment, Work::Alteration]
        def work = job.works.first

        # @return [Boolean] whether somebody's own curtain is altered
        def altering? = !kind.nil?

        # @return [String, nil] of alteration
        def kind = (name = @texts["kind"]) && R::Alterations.names.find { |known| known == name }

        # @param path [String]
        # @return [String, nil] what was typed into a field, as it was typed; nil where it is to be shown anew
        def typed(path) = (@typed_in == @unit && !gone?(path)) ? @texts[path] : nil

        # @return [Hash{String => String}] what tells the next request from which figures it was asked
        def was
          {
            "was_unit" => unit.name,
            "was_heading.kind" => work.record.spec.dig("heading", "kind"),
            "was_kind" => kind.to_s,
            "was_rules" => work.record.spec["rules"].to_s,
            "was_method" => work.record.spec["method"].to_s
          }.compact
        end

        # @return [Boolean] whether the page before had the same heading chosen among its drawings
        def same_heading?
          return false if altering? || @texts["was_kind"] != ""

          @texts["was_heading.kind"] == work.record.spec.dig("heading", "kind")
        end

        # @param whom [String] for whom it is kept
        # @return [Hash] what makes a job of it ({Store::Jobs#bring_in})
        def kept(whom)
          spec = work.record.spec
          made = altering? ? {extras: {"alterations" => [spec]}, windows: []} : {extras: {}, windows: [window(spec)]}
          title = whom.strip[0, JobForm::LONGEST]
          title = Words.say("reckon.job_title") if title.empty?
          {title: title, unit: unit.name, cloths: altering? ? {} : cloths_of(spec), **made}
        end

        # @return [Hash{String => String}] what is reckoned, and in which unit
        def said
          kind_of = altering? ? {"kind" => kind} : {"heading.kind" => work.record.spec.dig("heading", "kind")}
          {"unit" => unit.name, **kind_of}
        end

        # @param path [String] of a field
        # @return [Boolean] whether an empty field is what the house begins with
        def begins_empty?(path) = path.start_with?("cloth.") || Work::SpecFields.stored(path, @begun).nil?

        private

        def plain?(text) =
          text.is_a?(String) && text.size <= LONGEST && text.valid_encoding? && !text.include?("\u0000")

        def unit_named(name) = R::Units::ALL.key?(@texts[name]) ? @settled.rules.unit(@texts[name]) : nil

        def starting = Work::Starting.new(@settled, @unit)

        def started
          return starting.altered({}, kind) if altering?

          spec = @settled.starting_set.applied(Store::StartingRules::UNMEASURED, @unit)
          spec = chosen(spec, "rules", @settled.sets.map { |set| set.id.to_s })
          spec = chosen(spec, "heading.kind", R::Headings.names)
          ids = @records.map { |one| one.id.to_s }
          INNER.each_key { |use| spec = chosen(spec, "#{use}.cloth", ids) }
          face ? spec.merge("face" => face) : spec
        end

        # What is there already brings nothing.
        def chosen(spec, path, known)
          value = @texts[path]
          return spec unless known.include?(value) && Work::SpecFields.stored(path, spec) != value

          starting.changed(spec, path, value)
        end

        # @return [String, nil] the cloth: one of the workroom's, or the one that was typed, as far as it can be read
        def face
          asked = @texts["face"]
          return asked if asked && @records.any? { |record| record.id.positive? && record.id.to_s == asked }

          (cloth.spec["width"] && cloth.valid?) ? Work::Quick::FACE.to_s : nil
        end

        def read(spec)
          quick = Work::Quick.new(@settled, @records, @unit, spec)
          sent = @texts.reject { |path, _| gone?(path) || TAKEN.include?(path) }
          Typed.new(quick.job, quick.work, sent, @typed_in)
        end

        # Read already.
        TAKEN = %w[unit face kind rules heading.kind lining.cloth interlining.cloth].freeze

        # @return [Boolean] whether it spoke of what isn't there any more
        def gone?(path) = changed.any? { |deciding, brings| path != deciding && brings.call(path) }

        # @return [Hash] of what another one was chosen since the figures were asked for
        def changed =
          @changed ||= DECIDING.select do |deciding, _|
            was = @texts["was_#{deciding}"]
            was && was != @texts[deciding].to_s
          end

        def cloth_form
          typed = CLOTH.to_h { |name| [name, @texts["cloth.#{name}"]] }.compact
          fresh = {"name" => Words.say("reckon.cloth_name"), "use" => "face", **sold(@typed_in)}
          ClothForm.new(fresh, "", typed, @typed_in)
        end

        # By the yard where inches are reckoned in.
        def sold(unit) = {"order_step" => SoldBy.usual(unit)}

        def typed_cloth = cloth.spec.merge(sold(unit))

        def typed_cloths
          inner = INNER.map do |use, id|
            name = Words.say("reckon.#{use}_name")
            Store::Unkept.cloth(id, {"name" => name, "use" => use, "width" => USUAL_WIDTH[@unit.name], **sold(unit)})
          end
          [Store::Unkept.cloth(Work::Quick::FACE, typed_cloth), *inner]
        end

        def window(spec) = [Words.say("reckon.room"), "", [spec.except("answers")]]

        def cloths_of(spec)
          used = @records.select { |record| job.cloths_used.include?(record.id) }
          used.to_h { |record| [record.id.to_s, record.spec] }
        end
      end
    end
  end
end
