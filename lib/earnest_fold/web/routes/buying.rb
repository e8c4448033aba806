# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What is bought of a cloth for a job: asked after, ordered, and taken in when it came.
      class Buying < Handler
        include Planning

        # Under this a session carries that something is being asked.
        ASKED = "asked_supplier"
        # So many letters say where a piece lies, and why a credit is asked for.
        PLACE, ABOUT = 80, 300

        get Paths.buying(":id", ":cloth"), :show
        post Paths.buying(":id", ":cloth", "ask"), :ask
        post Paths.buying(":id", ":cloth", "code"), :name_code
        post Paths.buying(":id", ":cloth", "order"), :order
        post Paths.buying(":id", ":cloth", "orders/:order/ask"), :ask_after
        post Paths.buying(":id", ":cloth", "orders/:order/again"), :again
        post Paths.buying(":id", ":cloth", "orders/:order/forget"), :forget
        post Paths.buying(":id", ":cloth", "orders/:order/take-in/:delivery"), :take_in
        post Paths.buying(":id", ":cloth", "orders/:order/send-back/:delivery"), :send_back
        post Paths.buying(":id", ":cloth", "orders/:order/credit"), :credit

        def show(id, cloth, status: 200, notice: session.delete(ASKED)&.to_sym)
          supplier = Screens::OutsideStands.of(Adapters::Supplier)
          page(:buying, Screens::Buying.new(at_supplier(id, cloth), supplier, notice: notice), status: status)
        end

        # By the queue: nobody waits for it.
        def ask(id, cloth)
          theirs(id, cloth)
          supply.ask("catalogue")
          supply.code_of(number(cloth))&.then { |code| supply.ask("stock", code) }
          asked(id, cloth)
        end

        def name_code(id, cloth)
          theirs(id, cloth)
          code = params["code"].to_s
          known = code.empty? || Work::AtSupplier.offers(workroom).any? { |one| one[:code] == code }
          return show(id, cloth, status: 422, notice: :no_such_code) unless known

          supply.name_code(number(cloth), code.empty? ? nil : code)
          supply.ask("stock", code) unless code.empty?
          asked(id, cloth)
        end

        # One of the ways that the page showed, as it is by now.
        def order(id, cloth)
          there = at_supplier(id, cloth)
          way = there.way(params["way"].to_s) or return show(id, cloth, status: 409, notice: :other_by_now)

          there.order(way)
          back(id, cloth)
        end

        def ask_after(id, cloth, order)
          supply.ask("standing", mine(id, cloth, order).id)
          asked(id, cloth)
        end

        def again(id, cloth, order)
          workroom.orders.send_off(mine(id, cloth, order).id)
          back(id, cloth)
        end

        # One that comes to nothing stands in nobody's way.
        def forget(id, cloth, order)
          workroom.orders.forget(mine(id, cloth, order).id)
          back(id, cloth)
        end

        def take_in(id, cloth, order, delivery)
          there = at_supplier(id, cloth)
          there.take_in(there.ordered_as(number(order)), number(delivery)) do |piece|
            Words.say("buying.came_as", piece: piece[:piece])[0, PLACE]
          end
          back(id, cloth)
        end

        def send_back(id, cloth, order, delivery)
          workroom.orders.send_back(mine(id, cloth, order), number(delivery))
          back(id, cloth)
        end

        # For a piece that came with something amiss.
        def credit(id, cloth, order)
          there = at_supplier(id, cloth)
          shown = Screens::BuyingOrder.new(there.ordered_as(number(order)), there.cutting)
          piece = shown.piece(params["piece"].to_s)
          raise Store::Missing, "nothing is amiss" unless piece && shown.amiss?(piece)

          length, about = Work::SupplierSays.written(piece[:length]), shown.about(piece)[0, ABOUT]
          workroom.credits.ask(shown.order.id, piece: piece[:piece], length: length, about: about)
          back(id, cloth)
        end

        private

        def supply = workroom.supply

        def at_supplier(id, cloth) =
          Work::AtSupplier.new(planned(id, cloth), workroom, house, patience: @app.settings.patience)

        # @raise [Store::Missing] where the job or the cloth is nobody's here
        def theirs(id, cloth) = [workroom.jobs.find(number(id)), workroom.cloths.find(number(cloth))]

        def mine(id, cloth, order)
          found = workroom.orders.find(number(order))
          return found if [found.job_id, found.cloth_id] == [number(id), number(cloth)]

          raise Store::Missing, "another's order"
        end

        def asked(id, cloth)
          session[ASKED] = "asked"
          back(id, cloth)
        end

        def back(id, cloth) = go(Paths.buying(number(id), number(cloth)))
      end
    end
  end
end
