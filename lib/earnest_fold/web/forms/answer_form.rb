# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The answer to one of the judgement's questions, in the maker's words.
      class AnswerForm
        LONGEST = 200

        # @param record [Store::Records::Treatment]
        # @param params [Hash{String => String}]
        def initialize(record, params)
          @record = record
          @code, @answer = params["code"].to_s, params["answer"].to_s.strip
        end

        # @return [Boolean] whether somebody has given another answer
        def answered? = ![nil, @answer].include?(@record.spec.fetch("answers", {})[@code])

        def valid? = question? && @answer.size.between?(1, LONGEST)

        # @return [Hash] the treatment's spec with the answer in it
        def spec = @record.spec.merge("answers" => @record.spec.fetch("answers", {}).merge(@code => @answer))

        private

        def question? = Reckoning::Judgement::Rules[@code]&.manner == :ask
      end
    end
  end
end
