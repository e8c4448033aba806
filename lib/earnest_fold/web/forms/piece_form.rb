# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a piece of cloth.
      class PieceForm
        include Refusing

        R = Reckoning
        FIELDS = R::Cutting::ShelfPiece::FIELDS
        NAMES = %w[delivered measured width repeat pattern_start batch place squared].freeze
        LONGEST_LABEL = 40

        attr_reader :spec, :label

        # @param stored [Hash] the spec as it is
        # @param label [String] as it is, or as it could be
        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param takings [Array<Reckoning::Cutting::Taking>] what was taken of it
        def initialize(stored, label, params, unit, takings: [])
          @stored, @params, @unit, @takings = stored, params || {}, unit, takings
          @label = @params["label"].is_a?(String) ? @params["label"].strip : label
          @spec = params ? read : stored
        end

        # @return [String] what stands in the field: as typed, else as stored
        def text(name)
          return @params[name] if @params[name].is_a?(String)

          return @label if name == "label"
          return @stored[name] ? "yes" : "no" if name == "squared"

          SpecFields.text(@stored[name], kind(name), @unit)
        end

        # The name is another piece's.
        def taken = refuse("label", :label_taken)

        private

        def kind(name) = FIELDS.fetch(name.to_sym).kind

        def read
          spec = NAMES.reduce(@stored) { |made, name| given(made, name, @params[name].to_s.strip) }
          refuse("label", :missing) if @label.empty?
          refuse("label", :too_much_text, most: LONGEST_LABEL) if @label.size > LONGEST_LABEL
          place = R::Problems.new
          R::Cutting::ShelfPiece.read(spec, @label, @takings, place, unit: @unit)
          place.to_a.each { |problem| problems[problem.at.delete_prefix("/").split("/").first] ||= problem }
          spec
        end

        def given(spec, name, text)
          return spec if @stored[name] && text == text_stored(name)
          return spec.except(name) if text.empty?

          spec.merge(name => SpecFields.to_store(text, kind(name), @unit))
        end

        def text_stored(name) = SpecFields.text(@stored[name], kind(name), @unit)
      end
    end
  end
end
