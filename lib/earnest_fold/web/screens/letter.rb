# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # A letter to a customer: before it goes, and what came of it.
      class Letter
        # @return [Store::Letters::Letter]
        attr_reader :letter
        # @return [Store::Records::Job]
        attr_reader :job
        # @return [Store::Bills::Bill, nil] that goes with it
        attr_reader :paper
        # @return [Store::Slips::Slip, nil] that goes with it
        attr_reader :slip
        # @return [OutsideStands]
        attr_reader :post

        # @param form [Forms::LetterForm, nil] with what couldn't be taken
        def initialize(letter, job, paper, post:, slip: nil, form: nil)
          @letter, @job, @paper, @slip, @post = letter, job, paper, slip, post
          @form = form || Forms::LetterForm.new(letter, nil)
        end

        def page_title = Words.say("letters.title", title: job.title)

        def fields =
          Forms::LetterForm::NAMES.map do |name|
            Field.of_form(@form, name, label: Words.say("letters.fields.#{name}"), unit: Reckoning::Units::CM)
          end

        def both_versions = @form.clashes

        def path(to = nil) = Paths.letter(job.id, letter.id, to)

        # @return [Array(String, String), nil] what goes with it: its words, and where it is looked at
        def goes_along
          return ["#{Words.paper(paper.kind, paper.number)} (PDF)", Paths.paper(job.id, paper.id)] if paper

          slip && [Words.say("came_in.slip"), Paths.slips(job.id, slip.treatment_id, "#{slip.id}.pdf")]
        end

        def links? = letter.body.include?(Work::LetterDraft::LINK) && (!slip.nil? || paper&.answered_to?)

        def state = Words.say("letters.states.#{letter.state}")

        # @return [String, nil] why it hasn't gone
        def why = letter.why.empty? ? nil : Words.say("letters.why.#{letter.why}")
      end
    end
  end
end
