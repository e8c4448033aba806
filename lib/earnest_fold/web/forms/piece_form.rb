# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a piece of cloth.
      class PieceForm < FieldForm
        NAMES = %w[delivered measured width repeat pattern_start batch place squared].freeze
        LABEL = R::Field.new(
          name: :label,
          kind: R::FieldKinds::TextKind.new(least: 1, most: 40),
          default: R::Fields::REQUIRED
        )

        attr_reader :spec, :label

        # @param stored [Hash] the spec as it is
        # @param label [String] as it is, or as it could be
        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param takings [Array<Reckoning::Cutting::Taking>] what was taken of it
        # @param version [Integer, nil] of what is stored; nil for a new piece
        def initialize(stored, label, params, unit, takings: [], version: nil)
          super(params, unit, seen: FieldForm.seen?(params, version))
          @stored, @takings = stored.merge("label" => label), takings
          @label = params ? labelled(label) : label
          @spec = params ? read(stored) : stored
        end

        # The name is another piece's.
        def taken_by_another = refuse("label", :label_taken)

        def field(name) = (name == "label") ? LABEL : R::Cutting::ShelfPiece::FIELDS.fetch(name.to_sym)

        private

        def kept(name) = @stored[name]

        def called(name) = Words.say("piece_fields.#{name}")

        def doubt(name, value) = R::Cutting::ShelfPiece.doubt(name, said(name), @unit) || super

        def labelled(label)
          typed = anew?("label") ? said("label") : label
          refuse("label", :missing) if typed.empty?
          refuse("label", :too_much_text, most: LABEL.kind.most) if typed.size > LABEL.kind.most
          typed
        end

        def read(stored)
          spec = NAMES.reduce(stored) { |made, name| taken(made, name) }
          place = R::Problems.new
          R::Cutting::ShelfPiece.read(spec, @label, @takings, place, unit: @unit)
          place.to_a.each { |problem| problems[problem.at.delete_prefix("/").split("/").first] ||= problem }
          spec
        end
      end
    end
  end
end
