# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed of a piece of cloth.
      class PieceForm
        include Merging
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
        # @param version [Integer, nil] of what is stored; nil for a new piece
        def initialize(stored, label, params, unit, takings: [], version: nil)
          @stored, @params, @unit, @takings, @label_now = stored, params || {}, unit, takings, label
          @saw = Saw.new(@params) { |name| (@params["version"] == version.to_s || version.nil?) ? shown(name) : nil }
          @label = anew?("label") ? @params["label"].strip : label
          @spec = params ? read : stored
        end

        # @return [String] what stands in the field: as typed, else as stored
        def text(name)
          @params[name].is_a?(String) ? @params[name] : shown(name)
        end

        def valid? = super && clashes.empty?

        # @return [String] what is stored of a field, as a person reads it
        def shown(name)
          return @label_now if name == "label"
          return @stored[name] ? "yes" : "no" if name == "squared"

          SpecFields.text(@stored[name], kind(name), @unit)
        end

        # The name is another piece's.
        def taken = refuse("label", :label_taken)

        private

        def called(name) = Words.say("piece_fields.#{name}")

        def anew?(name) = @params[name].is_a?(String) && mine?(name, @params[name].strip)

        def kind(name) = FIELDS.fetch(name.to_sym).kind

        def read
          spec = NAMES.reduce(@stored) { |made, name| anew?(name) ? given(made, name, @params[name].strip) : made }
          refuse("label", :missing) if @label.empty?
          refuse("label", :too_much_text, most: LONGEST_LABEL) if @label.size > LONGEST_LABEL
          place = R::Problems.new
          R::Cutting::ShelfPiece.read(spec, @label, @takings, place, unit: @unit)
          place.to_a.each { |problem| problems[problem.at.delete_prefix("/").split("/").first] ||= problem }
          spec
        end

        def given(spec, name, text)
          return spec.except(name) if text.empty?

          spec.merge(name => SpecFields.to_store(text, kind(name), @unit))
        end
      end
    end
  end
end
