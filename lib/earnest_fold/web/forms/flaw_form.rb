# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A flaw added to a piece, moved, or taken away. Distances are from where the piece lies cut to now.
      class FlawForm
        R = Reckoning
        attr_reader :problems, :spec, :typed

        # @param record [Store::Records::Piece]
        # @param params [Hash]
        # @param unit [Reckoning::Unit]
        def initialize(record, params, unit)
          @record, @params, @problems = record, params, {}
          @form = TableForm.new(params, unit, record.piece.length - record.piece.ended)
          @typed = @form.typed
          @spec = record.spec.merge("flaws" => flaws)
        end

        def valid? = problems.empty?

        # @return [String] what is told of it in the piece's history
        def kind
          return "flaw_removed" if removing?

          index ? "flaw_moved" : "flaw_found"
        end

        # @return [Boolean] whether it is one more
        def added? = kind == "flaw_found"

        # @return [Hash] the flaw, for the history
        def told = @found || {}

        private

        def removing? = @params["remove"] == "yes"

        def kept = @record.spec.fetch("flaws", [])

        def index =
          if @params["flaw"].to_s.match?(/\A\d{1,3}\z/) && Integer(@params["flaw"], 10) < kept.size
            Integer(@params["flaw"], 10)
          end

        def flaws
          return kept.reject.with_index { |_, at| at == index } if removing? && index

          @problems = @form.problems
          return kept unless @form.valid?

          @found = {
            "from" => Store::Records.typed(@record.piece.ended + @form.from),
            "to" => Store::Records.typed(@record.piece.ended + @form.to),
            "what" => @form.what
          }
          if index
            kept.each_with_index.map { |flaw, at| (at == index) ? flaw.merge(@found.slice("from", "to")) : flaw }
          else
            kept + [@found]
          end
        end
      end
    end
  end
end
