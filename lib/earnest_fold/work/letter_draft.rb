# frozen_string_literal: true

module EarnestFold
  module Work
    # What a letter to a customer begins as: by what it is about, in the house's words.
    class LetterDraft
      # Stands in a letter for the customer's link, which is made as it goes.
      LINK = "[link]"

      # @param job [Store::Records::Job]
      # @param customer [Store::Customers::Customer, nil]
      # @param house [String] what the workroom is called
      # @param paper [Store::Bills::Bill, nil]
      def initialize(job, customer, house, paper: nil)
        @job, @customer, @house, @paper = job, customer, house, paper
      end

      # @param sort [String] of {Store::Letters::SORTS}
      # @yieldparam key [String] of the words
      # @yieldparam facts [Hash]
      # @yieldreturn [String]
      # @return [Hash{Symbol => String}] to whom, about what, and what it says; somebody whose name nobody knows is
      #   greeted without one
      def texts(sort)
        told = facts.merge(name: name.empty? ? yield("letters.greeting", {}) : name)
        {
          to: @customer&.mail.to_s,
          subject: yield("letters.subjects.#{sort}", told)[0, Store::Letters::FIELDS.fetch(:subject).kind.longest],
          body: yield("letters.bodies.#{sort}", told)
        }
      end

      private

      # Where nobody said whose the job is, its paper may.
      def name = @customer&.name || @paper&.content.to_h["customer"].to_s.lines.first.to_s.strip

      def facts = {
        title: @job.title, number: @paper&.number, house: @house, link: LINK, day: Diary.date(@job, "promised")
      }
    end
  end
end
