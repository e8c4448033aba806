# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # At the table: cuts ticked as they are made, and what goes otherwise than planned.
      module Table
        def self.registered(app)
          app.helpers(Cuts)
          app.get("/jobs/:id/table/:cloth") do |id, cloth|
            page(:table, Screens::Table.new(planned(id, cloth), asked: params["cut"]))
          end

          app.post("/jobs/:id/table/:cloth/tick") do |id, cloth|
            at_table(id, cloth) { workroom.plans.tick(table(id, cloth), cut_asked, least: offcut_least) }
          end
          app.post("/jobs/:id/table/:cloth/put-back") do |id, cloth|
            at_table(id, cloth) { workroom.plans.put_back(table(id, cloth), cut_asked, least: offcut_least) }
          end
          app.post("/jobs/:id/table/:cloth/wrong") { |id, cloth| wrong(id, cloth) }
          app.post("/jobs/:id/table/:cloth/flaw") { |id, cloth| flaw(id, cloth) }
        end

        # What is told at the table.
        module Cuts
          def cut_asked = number(params["cut"].to_s)

          # @return [Array(Integer, Integer)] the job and the cloth of the address
          def table(id, cloth) = [number(id), number(cloth)]

          def offcut_least = house.rules.offcut_least

          # Where the plan was made again meanwhile, or the cloth is gone, the table says so and shows how things stand.
          def at_table(id, cloth)
            yield
            redirect to("/jobs/#{number(id)}/table/#{number(cloth)}"), 303
          rescue Store::Missing, Store::Stale, Reckoning::Invalid
            page(:table, Screens::Table.new(planned(id, cloth), notice: :table_changed), status: 409)
          end

          def wrong(id, cloth)
            screen = Screens::Table.new(planned(id, cloth), asked: params["cut"])
            raise Store::Missing, "no such cut" unless screen.current&.id == cut_asked

            from = screen.lies_from
            told_on(screen, id, cloth) do |form|
              datum = screen.current.datum
              workroom.plans.wrong(
                table(id, cloth),
                cut_asked,
                from + form.from - datum,
                from + form.to - datum,
                least: offcut_least,
                why: Screens::Table::WHYS.include?(params["why"]) ? params["why"] : ""
              )
            end
          end

          def flaw(id, cloth)
            screen = Screens::Table.new(planned(id, cloth), asked: params["cut"])
            raise Store::Missing, "no such cut" unless screen.current

            told_on(screen, id, cloth) do |form|
              from = screen.lies_from - screen.origin
              found = {
                "from" => Store::Records.typed(from + form.from),
                "to" => Store::Records.typed(from + form.to),
                "what" => form.what
              }
              record = screen.record
              workroom.shelf.update(
                record.id,
                record.spec.merge("flaws" => record.spec.fetch("flaws", []) + [found]),
                version: record.version,
                kind: "flaw_found",
                data: found
              )
            end
          end

          # What was told is kept, and the rest is planned again round it.
          def told_on(screen, id, cloth)
            form = Forms::TableForm.new(
              params,
              screen.unit,
              screen.record.piece.length - (screen.lies_from - screen.origin)
            )
            unless form.valid?
              return (
                page(
                  :table,
                  Screens::Table.new(screen.cutting, asked: params["cut"], typed: form.typed, problems: form.problems),
                  status: 422
                )
              )
            end

            at_table(id, cloth) do
              yield form
              again = planned(id, cloth)
              again.stock? ? take(again) : workroom.plans.release(number(id), number(cloth))
            end
          end
        end
      end
    end
  end
end
