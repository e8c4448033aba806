# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Something that is worked out beside the pages: what it is, how far it is, and where it leads.
      class Errand
        # @return [Store::Errands::Errand]
        attr_reader :errand

        # @param errand [Store::Errands::Errand]
        # @param back [Object] where one came from, as it was sent
        def initialize(errand, back: nil)
          @errand, @asked = errand, back
        end

        # @return [String] what it is
        def page_title =
          plan? ? Words.say("errands.plan", cloth: about["name"]) :
            Words.say("errands.paper", paper: Words.say("errands.files.#{file}"), title: about["title"])

        # @return [String] how it stands
        def says = Words.say("errands.states.#{errand.state}")

        # @return [String, nil] why it isn't there
        def why = (errand.state == "failed") ? Words.say("errands.whys.#{errand.why}") : nil

        # @return [String, nil] a place of the job that one came from
        def back = @back ||= Paths.back_to_job(@asked)

        # @return [String] where one goes on when it is done
        def onward
          return back || Paths.job(about["job"]) if plan?

          errand.done? ? Paths.errand(errand.id, "paper") : Paths.job(about["job"])
        end

        def onward_says = Words.say((errand.done? && !plan?) ? "errands.open" : "errands.onward")

        # @return [String] where the bar is asked for again
        def bar_path = Paths.errand(errand.id, "bar")

        # @return [String] where one sees it
        def path = Paths.errand(errand.id, back: back)

        # @return [String] "Chapel-house-work-order.pdf"
        def file_name = "#{about["title"].to_s.gsub(/[^\w-]+/, "-")}-#{about["file"]}"

        private

        def plan? = errand.sort == Store::Errands::PLAN

        def about = errand.about

        def file = about["file"].to_s.delete_suffix(".pdf").tr("-", "_")
      end
    end
  end
end
