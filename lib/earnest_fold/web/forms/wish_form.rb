# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a maker wants of a plan, changed by one wish: a cut pinned or let go, or what is to be done with the
      # pieces.
      class WishForm
        R = Reckoning
        NEAR = R::Length.mm(5)
        # @return [Hash] the wishes, to be kept
        attr_reader :spec
        # @return [Reckoning::Problem, nil]
        attr_reader :problem

        # @param cutting [Work::ClothCutting]
        # @param params [Hash]
        def initialize(cutting, params)
          @cutting, @params = cutting, params
          @spec = params["cut"] ? pinned : pieces
        end

        def valid? = problem.nil?

        private

        def pieces
          asked = @cutting.pieces.to_h { |record| [record.label, @params["piece-#{record.id}"] || kept(record.label)] }
          @cutting.wanted.merge(
            "forbidden" => asked.select { |_, wish| wish == "leave" }.keys,
            "preferred" => asked.select { |_, wish| wish == "first" }.keys
          )
        end

        # What is wanted of a piece already: a page says only what was changed there.
        def kept(label)
          return "leave" if @cutting.wanted.fetch("forbidden", []).include?(label)

          @cutting.wanted.fetch("preferred", []).include?(label) ? "first" : ""
        end

        def pinned
          others = @cutting.wanted.fetch("pins", []).reject { |pin| named == name_of(pin) }
          return @cutting.wanted.merge("pins" => others) if @params["pin"] == "no"

          cut = @cutting.left.find { |one| [one.treatment, one.curtain, one.number.to_s] == named }
          from = cut && placed(cut)
          from ? @cutting.wanted.merge("pins" => [*others, pin(cut, from)]) : @cutting.wanted
        end

        # @return [Array<String>] the cut that is meant: treatment, curtain, number
        def named = @params["cut"].to_s.split("~").drop(1)

        def name_of(pin) = [*pin.values_at("treatment", "curtain"), pin["number"].to_s]

        def pin(cut, from) =
          {
            "piece" => @record.label,
            "treatment" => cut.treatment,
            "curtain" => cut.curtain,
            "number" => cut.number,
            "from" => Store::Records.exact(from)
          }

        # @return [Reckoning::Length, nil] from the piece's first end
        def placed(cut)
          @record = @cutting.pieces.find { |one| one.id.to_s == @params["piece"] }
          at = R::LengthReader.read(@params["from"].to_s, @cutting.sheet.unit)
          return refuse(:not_a_length) if @record.nil? || at.nil? || at.negative?

          at = on_its_line(cut, at)
          (at && fits?(cut, at)) ? begins + at : refuse(:no_place_there)
        end

        def begins = @record.begins(@cutting.sheet.job.id)

        def piece = @record.piece.from(begins)

        # What is typed is rounded: the line of the pattern that it means is the one right beside it.
        def on_its_line(cut, at)
          return at unless cut.start

          repeat = @cutting.cloth.vertical_repeat
          beyond = (at - piece.pattern_start - cut.start) % repeat
          apart = (beyond > repeat / 2) ? beyond - repeat : beyond
          at - apart if apart.abs <= NEAR
        end

        # Inside the piece and clear of its flaws.
        def fits?(cut, at) =
          !at.negative? && at + cut.length <= piece.length &&
            piece.flaws.none? { |flaw| flaw.from < at + cut.length && flaw.to > at }

        def refuse(code)
          @problem = R::Problem.new(at: "from", code: code, data: {})
          nil
        end
      end
    end
  end
end
