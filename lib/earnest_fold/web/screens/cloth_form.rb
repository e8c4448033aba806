# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # One cloth: off its roll with its figures round it, its nature, its pieces on the shelf, and where it is used.
      class ClothForm
        include PiecesShown

        # The fields by where they stand.
        ACROSS = %w[width selvedge selvedge_in_seam].freeze
        ALONG = %w[vertical_repeat match horizontal_repeat one_way].freeze
        NATURE = %w[loose frays curls creeps coated printed shrink_percent mass].freeze
        BOUGHT = %w[use order_step price].freeze
        # What is drawn as long as nobody has said how wide it is.
        UNSAID = {"name" => "-", "use" => "face", "width" => "140 cm"}.freeze

        attr_reader :record, :form, :unit, :notice, :station, :using

        # @param record [Store::Records::Cloth, nil] nil for a new one
        # @param station [String, nil] the Cloth station for which it is brought in
        # @param pieces [Array<Store::Records::Piece>] of it
        # @param using [Array<Store::Records::Job>] the jobs that use it, of each the work that does
        def initialize(record, form, unit, notice: nil, station: nil, pieces: [], using: [])
          @record, @form, @unit, @notice = record, form, unit, notice && Words.say("notices.#{notice}")
          @station, @pieces, @using = station, pieces, using
        end

        # @return [String] where one goes without keeping anything
        def back = station || Paths.cloths

        def page_title = record ? record.spec["name"] : Words.say("cloths.new")

        def path = record ? Paths.cloth(record.id) : Paths.cloths

        # @return [String] SVG: the cloth as it is kept; without figures where there are none yet
        def drawing
          return Drawings::ClothSample.new(cloth, unit, colour: form.colour).to_s if cloth

          Drawings::ClothSample.new(drawn(UNSAID), unit, colour: form.colour, figures: false).to_s
        end

        # @return [String] SVG: what it does
        def swatch = Drawings::ClothNature.new(cloth || drawn(UNSAID), colour: form.colour).to_s

        # @return [Array<Field>]
        def fields(names) = names.map { |name| field(name) }

        # @return [Field]
        def field(name) =
          Field.of_form(form, name, label: label(name), options: options(name), unit: unit)

        # @return [Group, nil] what is on the shelf of it
        def group = (Group.new(record: record, cloth: cloth, pieces: @pieces) if record && cloth && @pieces.any?)

        # @param job [Store::Records::Job]
        # @return [String] which of its windows use it
        def windows(job) =
          job.windows.map { |window| window.name.empty? ? window.room : window.name }.reject(&:empty?).uniq.join(", ")

        private

        def longest = @pieces.map { |piece| piece.piece.length }.max

        def cloth = @cloth ||= drawn(form.spec)

        def drawn(spec) = Work::Reader.cloth(Store::Unkept.cloth(1, spec), unit)

        # Each is asked for in the measure that it is typed in.
        def label(name)
          measure = {"price" => form.sold_now == :yard, "mass" => unit.inches?}[name]
          Words.say("cloth_fields.#{name}#{"_inches" if measure}")
        end

        # What a yes means is said of each; an order step that has no name is one of the choices where it is kept.
        def options(name)
          choice = Field.options(form.field(name)) or return
          return choice.merge(own_step(choice)) if name == "order_step"
          return choice unless Words.say?("cloth_fields.#{name}_no")

          choice.to_h { |word, _| [word, Words.say("cloth_fields.#{name}_#{word}")] }
        end

        def own_step(choice)
          text = form.shown("order_step")
          choice.key?(text) ? {} : {text => Words.say("sold_by.own", step: text)}
        end
      end
    end
  end
end
