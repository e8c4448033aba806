# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Where a window is and what it is called.
      class Place
        # @return [Work::Job]
        attr_reader :sheet
        # @return [Work::AtWork] the work at the window from which one came
        attr_reader :entry
        # @return [String, nil] the page of the job from which one came
        attr_reader :back

        # @param open [Array<String>] the stations that whoever looks may go to
        # @param form [Forms::PlaceForm, nil] with what couldn't be taken
        def initialize(sheet, entry, open, back:, form: nil)
          @sheet, @entry, @open, @back = sheet, entry, open, back
          @form = form || Forms::PlaceForm.new(entry.window, nil)
        end

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("job.place.title", title: entry.title)

        # @return [Array<Field>]
        def fields =
          Forms::PlaceForm::NAMES.map { |name| Field.of_form(@form, name, label: label(name), unit: unit) }

        # @return [Array<Forms::Merging::Both>] what was typed beside what somebody else left meanwhile
        def both_versions = @form.clashes

        # @return [String] with the page that it leads back to
        def path = Paths.place(job.id, entry.id, back)

        # @return [String] SVG: what hangs there
        def wall
          here = sheet.works.select { |work| work.window.id == entry.window.id }
          Documents::WallOfJob.new(sheet, here) { |work| Paths.station(job.id, work.id, work.following(@open)) }.to_s
        rescue => error
          RequestLog.note("the window of work #{entry.id} can't be drawn", error)
          ""
        end

        private

        # Somebody's own curtains aren't a window.
        def label(name)
          (name == "name" && entry.altered_as) ? Words.say("job.alteration_where") : Words.say("job.place.#{name}")
        end
      end
    end
  end
end
