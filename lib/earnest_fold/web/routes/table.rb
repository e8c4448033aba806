# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # At the table: cuts ticked as they are made, and what goes otherwise than planned.
      class Table < Handler
        include Planning

        # Whoever stands at the table waits so much longer for a plan, and goes on with the best there is.
        WAITS = 4

        open_to Access::AT_JOB
        get Paths.table(":id", ":cloth"), :show
        post Paths.table(":id", ":cloth", "tick"), :tick
        post Paths.table(":id", ":cloth", "put-back"), :put_back
        post Paths.table(":id", ":cloth", "wrong"), :wrong
        post Paths.table(":id", ":cloth", "flaw"), :flaw

        def show(id, cloth) = page(:table, asked_for(id, cloth))

        def tick(id, cloth)
          done(id, cloth) { workroom.plans.tick(place(id, cloth), cut_asked, least: offcut_least) }
        end

        def put_back(id, cloth)
          done(id, cloth) { workroom.plans.put_back(place(id, cloth), cut_asked, least: offcut_least) }
        end

        def wrong(id, cloth)
          screen = asked_for(id, cloth)
          raise Store::Missing, "no such cut" unless screen.current&.id == cut_asked

          told_on(screen, id, cloth) do |form|
            from = screen.lies_from - screen.current.datum
            why = Screens::Table::WHYS.include?(params["why"]) ? params["why"] : ""
            stretch = [from + form.from, from + form.to]
            workroom.plans.wrong(place(id, cloth), cut_asked, *stretch, least: offcut_least, why: why)
          end
        end

        def flaw(id, cloth)
          screen = asked_for(id, cloth)
          raise Store::Missing, "no such cut" unless screen.current

          told_on(screen, id, cloth) { |form| keep_flaw(screen.record, screen.lies_from - screen.origin, form) }
        end

        private

        def asked_for(id, cloth) = Screens::Table.new(planned(id, cloth), asked: params["cut"])

        def cut_asked = number(params["cut"].to_s)

        # @return [Array(Integer, Integer)] the job and the cloth of the address
        def place(id, cloth) = [number(id), number(cloth)]

        def offcut_least = house.rules.offcut_least

        # Where the plan was made again meanwhile, or the cloth is gone, the table says so and shows how things stand.
        def done(id, cloth)
          yield
          go(Paths.table(*place(id, cloth)))
        rescue Store::Missing, Store::Stale, Reckoning::Invalid
          page(:table, Screens::Table.new(planned(id, cloth), notice: :table_changed), status: 409)
        end

        def keep_flaw(record, from, form)
          found = {
            "from" => Store::Records.typed(from + form.from),
            "to" => Store::Records.typed(from + form.to),
            "what" => form.what
          }
          flaws = record.spec.fetch("flaws", []) + [found]
          workroom.shelf.update(
            record.id,
            record.spec.merge("flaws" => flaws),
            version: record.version,
            kind: "flaw_found",
            data: found
          )
        end

        # What was told is kept, and the rest is planned again round it.
        def told_on(screen, id, cloth)
          room = screen.record.piece.length - (screen.lies_from - screen.origin)
          form = Forms::TableForm.new(params, screen.unit, room)
          return refused(screen, form) unless form.valid?

          done(id, cloth) do
            yield form
            again = planned(id, cloth, most: @app.settings.patience * WAITS)
            again.plan ? take(again) : workroom.plans.release(*place(id, cloth))
          end
        end

        def refused(screen, form)
          shown = Screens::Table.new(screen.cutting, asked: params["cut"], typed: form.typed, problems: form.problems)
          page(:table, shown, status: 422)
        end
      end
    end
  end
end
