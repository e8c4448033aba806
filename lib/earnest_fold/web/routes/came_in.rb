# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Somebody's own curtains: how they come to a job, and what they were like when they came in.
      class CameIn < Handler
        include FirstScreen

        # Under this a session carries a link for a customer that is told once.
        LINK = "slip_link"

        open_to Access::AT_JOB
        post Paths.job(":id", "alterations"), :take_in, to: Access::MAKERS
        get Paths.came_in(*WORK), :show
        post Paths.came_in(*WORK, "notes"), :note_down
        post Paths.came_in(*WORK, "notes/:note/strike"), :strike
        post Paths.came_in(*WORK, "photographs"), :photograph
        post Paths.came_in(*WORK, "photographs/:photograph/remove"), :remove
        get Paths.came_in(*WORK, "photographs/:photograph.jpg"), :image
        get Paths.work(*WORK, "slip.pdf"), :slip
        post Paths.slips(*WORK), :hand_out, to: Access::MAKERS
        get Paths.slips(*WORK, ":slip.pdf"), :slip_handed_out, to: Access::MAKERS
        post Paths.slips(*WORK, ":slip/link/make"), :make_link, to: Access::MAKERS
        post Paths.slips(*WORK, ":slip/link/take-back"), :take_back_link, to: Access::MAKERS

        def take_in(id)
          form, job = Forms::WindowForm.new(params), sheet(id)
          kind = params["kind"].to_s
          unless form.valid? && Reckoning::Alterations[kind]
            typed = form.typed.merge("kind" => kind)
            shown = first_screen(job, typed: typed, altering: form.problem || :kind_missing)
            return page(:job, shown, status: 422)
          end

          spec = Work::Starting.new(job.settled, job.unit).altered({}, kind)
          made = workroom.windows(job.job.id).add(**form.values, spec: spec)
          go(Paths.station(job.job.id, made, "measure"))
        end

        def show(id, treatment, status: 200, **more)
          job = sheet(id)
          entry = altered(job, treatment)
          came_in = Work::CameIn.new(entry, workroom.came_in.notes(entry.id))
          slips = workroom.slips.of(entry.id)
          links = Screens::CustomerLinks.new(
            workroom.customer_links.of_slips(slips.map(&:id)), told: session.delete(LINK), at: request.base_url
          )
          shown = Screens::CameIn.new(
            job, came_in, workroom.came_in.photographs(entry.id), slips: slips, links: links, **more
          )
          page(:came_in, shown, status: status)
        end

        def note_down(id, treatment)
          entry = altered(sheet(id), treatment)
          form = Forms::NoteForm.new(Work::CameIn.new(entry, []).hands, params)
          return show(id, treatment, status: 422, problem: form.problem, typed: form.typed) unless form.valid?

          workroom.came_in.note(entry.id, **form.values)
          back(id, treatment)
        rescue Store::Full
          show(id, treatment, status: 422, problem: :notes_full, typed: form.typed)
        end

        def strike(id, treatment, note)
          workroom.came_in.strike(altered(sheet(id), treatment).id, number(note))
          back(id, treatment)
        end

        def photograph(id, treatment)
          words = params["words"].to_s.strip
          return no_photograph(id, treatment, :note_too_long) if words.size > Forms::NoteForm::LONGEST

          entry = altered(sheet(id), treatment)
          encoded = Documents::Photograph.encode(read_file(params["file"]))
          workroom.came_in.add_photograph(
            entry.id, encoded.bytes, width: encoded.width, height: encoded.height, words: words
          )
          back(id, treatment)
        rescue Store::Full
          no_photograph(id, treatment, :photographs_full)
        rescue Documents::Photograph::NotOne
          no_photograph(id, treatment, :no_photograph)
        end

        def remove(id, treatment, photograph)
          workroom.came_in.remove_photograph(altered(sheet(id), treatment).id, number(photograph))
          back(id, treatment)
        end

        def image(id, treatment, photograph)
          own = altered(sheet(id), treatment).id
          content_type("image/jpeg")
          cache_control(:private, max_age: 3600)
          workroom.came_in.image(own, number(photograph))
        end

        def slip(id, treatment)
          job = sheet(id)
          filed("application/pdf", job, "-slip.pdf")
          slip_of(job, altered(job, treatment)).render
        end

        # The slip as it is now stays so, and a link shows it to the customer.
        def hand_out(id, treatment)
          job = sheet(id)
          entry = altered(job, treatment)
          made = slip_of(job, entry)
          link_to(workroom.slips.write(entry.id, made.content, made.render))
          back(id, treatment)
        rescue Store::Full
          show(id, treatment, status: 422, problem: :slips_full)
        end

        def slip_handed_out(id, treatment, slip)
          sent_as("application/pdf", "slip-#{number(slip)}.pdf")
          workroom.slips.file(handed_out(id, treatment, slip))
        end

        def make_link(id, treatment, slip)
          link_to(handed_out(id, treatment, slip))
          back(id, treatment)
        end

        def take_back_link(id, treatment, slip)
          workroom.customer_links.take_back(slip: handed_out(id, treatment, slip))
          back(id, treatment)
        end

        private

        # What was written beside it stands there still.
        def no_photograph(id, treatment, problem) =
          show(id, treatment, status: 422, problem: problem, typed: {"caption" => params["words"].to_s})

        # The link is told once: only its print is kept.
        def link_to(slip) = session[LINK] = [slip, workroom.customer_links.make(slip: slip)]

        # @return [Integer] of a slip of this work
        def handed_out(id, treatment, slip)
          found = workroom.slips.of(altered(desk_sheet(id), treatment).id).find { |one| one.id == number(slip) }
          found ? found.id : raise(Store::Missing, "no slip #{slip}")
        end

        def slip_of(job, entry)
          came_in = Work::CameIn.new(entry, workroom.came_in.notes(entry.id))
          images = workroom.came_in.photographs(entry.id).map do |one|
            [workroom.came_in.image(entry.id, one.id), one.words]
          end
          Documents::SlipPaper.new(job, came_in, images)
        end

        def altered(job, treatment)
          job.alterations.find { |entry| entry.id == number(treatment) } ||
            raise(Store::Missing, "not somebody's own curtain")
        end

        def back(id, treatment) = go(Paths.came_in(number(id), number(treatment)))
      end
    end
  end
end
