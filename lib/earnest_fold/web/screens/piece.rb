# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One piece of cloth: what is left of it, where its flaws are, how it differs from what was reckoned with, and
      # what happened to it; also the form by which a piece is received.
      class Piece
        R = Reckoning
        # What a difference means for one job.
        Meant = R::Value.define(:job, :effects, :needed)

        # @return [String, nil] the Cutting station that one came from
        attr_reader :back
        attr_reader :record, :form, :unit, :cloth_record, :cloths, :flaw_typed, :flaw_problems

        # @param record [Store::Records::Piece, nil] nil for one that is being received
        # @param form [Forms::PieceForm]
        # @param unit [Reckoning::Unit]
        # @param cloths [Array<Store::Records::Cloth>]
        # @param cloth_record [Store::Records::Cloth, nil]
        # @param history [Array<Store::Records::Happening>]
        # @param sheets [Array<Work::Job>] the jobs that use the cloth
        # @param others [Array<Reckoning::Cutting::ShelfPiece>] the other pieces of its cloth
        # @param flaw [Forms::FlawForm, nil] one that could not be taken
        def initialize(
          record,
          form,
          unit,
          cloths:,
          cloth_record: nil,
          history: [],
          sheets: [],
          others: [],
          notice: nil,
          flaw: nil,
          back: nil
        )
          @record, @form, @unit, @cloths, @cloth_record, @history, @sheets, @others, @notice, @back =
            record, form, unit, cloths, cloth_record, history, sheets, others, notice, back
          @flaw_typed, @flaw_problems = flaw ? [flaw.typed, flaw.problems] : [{}, {}]
        end

        def page_title = record ? Words.say("piece.title", label: record.label) : Words.say("piece.new")

        def notice = @notice && Words.say("notices.#{@notice}")

        def path(to = nil) = record ? Paths.piece(record.id, to) : Paths.shelf

        def cloth = @cloth ||= cloth_record && Work::Reader.cloth(cloth_record, unit)

        # @return [Array<String>] the fields, in their order
        def names = ["label", *Forms::PieceForm::NAMES]

        # @return [Field]
        def field(name) =
          Field
            .of_form(
              form,
              name,
              label: Words.say("piece_fields.#{name}"),
              options: (squared_or_not if name == "squared"),
              unit: unit
            )
            .with(hint: hint(name))

        # @return [String] what the button at a flaw does, for those who can't see which
        def remove_flaw(flaw) = Words.say("piece.remove_flaw_at", at: Words.with_unit(flaw.from, unit))

        def squared_or_not = %w[no yes].to_h { |answer| [answer, Words.say("piece_fields.squared_#{answer}")] }

        # @return [Hash{String => String}] cloths to choose from
        def cloth_options = cloths.to_h { |one| [one.id.to_s, one.spec["name"]] }

        # @return [String] SVG: from where it is cut to now
        def drawing
          Drawings::Bolt.new(cloth, record.piece.from(record.piece.ended), [], unit, colour: cloth_record.colour).to_s
        end

        # @return [Array<Reckoning::Cutting::KeptFlaw>] with their places in what is left
        def flaws = record.piece.flaws

        # @return [Hash{Symbol => Reckoning::Length}] what became of it; together its length
        def sums = record.piece.life.sums.select { |kind, length| kind == :left || length.positive? }

        # @return [Array<Reckoning::Cutting::Difference>]
        def differences = @differences ||= cloth ? delivery.differences : []

        def held_back? = !record.piece.usable?(cloth)

        # @return [Array<Meant>] what the differences change for the jobs that use the cloth
        def meant
          @meant ||= @sheets.filter_map do |sheet|
            sheet.once(:meant, cloth_record, record.spec) do
              differs_in_kind? ? meant_for(sheet) : needed_by(sheet)
            end
          end
        end

        # @return [String] a length of the cloth as it is bought
        def bought(length) = Words.bought(length, cloth.sold_by)

        # @return [String] how much of the cloth a job needs with the piece as it is, and without where that differs
        def needed_in_words(meant)
          return Words.say("differences.cannot") unless meant.needed

          before, after = meant.needed.map { |length| bought(length) }
          return Words.say("differences.needs", length: after) if before == after

          Words.say("differences.needed", before: before, after: after)
        end

        # @return [Reckoning::Length] what there is of the cloth, this piece among it
        def on_shelf = [record.piece, *@others].sum(R::Length::ZERO, &:left)

        # @param meant [Meant]
        # @return [Boolean] whether the job's cloth is longer than all pieces together
        def short_for?(meant) = meant.needed && meant.needed.last > on_shelf

        # @return [String]
        def difference(one) = Words.say("differences.#{one.name}", wanted: worded(one.wanted), got: worded(one.got))

        # @return [Array<Array(String, String, Time)>] what happened, who told it, when
        def history = @history.map { |event| [told(event), event.by, event.at] }

        private

        # Width and repeat change what is cut; a length only whether there is enough.
        def differs_in_kind? = differences.any? { |one| %i[width vertical_repeat].include?(one.name) }

        def meant_for(sheet)
          made = sheet.entries.filter_map(&:reckoning)
          Meant.new(job: sheet, effects: delivery.effects(made), needed: delivery.needed(made))
        end

        def needed_by(sheet)
          needed = sheet.cloths_needed.find { |made| made.cloth.id == cloth.id }&.length_needed || R::Length::ZERO
          Meant.new(job: sheet, effects: [], needed: [needed, needed])
        end

        def delivery = @delivery ||= record.piece.delivery(cloth, @others.map(&:batch))

        def worded(value) = if value.is_a?(R::Length)
                              Words.with_unit(value, unit)
                            else
                              (value.empty? ? Words.say("piece.no_batch") : value)
                            end

        def hint(name) = Words.say?("piece_hints.#{name}") ? Words.say("piece_hints.#{name}") : nil

        def told(event)
          data = event.data
          stretch = data["from"] ? {from: length(data["from"]), to: length(data["to"])} : {}
          words = Words.say(
            "piece_events.#{event.kind}",
            unit: unit,
            **stretch,
            job: data["job"].to_s,
            name: cut_name(data),
            what: data["what"].to_s
          )
          data["why"].to_s.empty? ? words : "#{words} #{Words.say("table.why.#{data["why"]}")}."
        end

        def length(text) = text.include?("mm") ? R::LengthReader.read(text, unit) : Store::Records.length(text)

        def cut_name(data) = data["curtain"] ? Words.cut_of(data["curtain"], data["number"]) : ""
      end
    end
  end
end
