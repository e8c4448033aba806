# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What is bought of a cloth for a job: asked after, ordered, and taken in when it came.
      class Buying < Handler
        include Planning

        Says = Documents::SupplierSays
        # Under this a session carries that something is being asked.
        ASKED = "asked_supplier"

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
          cutting = planned(id, cloth)
          orders = shown_orders(cutting)
          coming = orders.sum(Reckoning::Length::ZERO) { |one| one.held.expected }
          screen = Screens::Buying.new(
            cutting,
            bought(cutting, coming: coming, patience: @app.settings.patience),
            supplier: Screens::OutsideStands.of(Adapters::Supplier),
            code: code(cutting.id),
            catalogue_at: supply.catalogue_at,
            stock: stock(cutting.id),
            offers: offers,
            orders: orders,
            notice: notice
          )
          page(:buying, screen, status: status)
        end

        # By the queue: nobody waits for it.
        def ask(id, cloth)
          theirs(id, cloth)
          supply.ask("catalogue")
          code(number(cloth))&.then { |code| supply.ask("stock", code) }
          asked(id, cloth)
        end

        def name_code(id, cloth)
          theirs(id, cloth)
          named = params["code"].to_s
          known = named.empty? || offers.any? { |one| one[:code] == named }
          return show(id, cloth, status: 422, notice: :no_such_code) unless known

          supply.name_code(number(cloth), named.empty? ? nil : named)
          supply.ask("stock", named) unless named.empty?
          asked(id, cloth)
        end

        # One of the ways that the page showed, as it is by now.
        def order(id, cloth)
          cutting, named = planned(id, cloth), offer(number(cloth))
          chosen = named && way(cutting)
          return show(id, cloth, status: 409, notice: :other_by_now) unless chosen

          workroom.orders.place(number(id), cutting.id, wanted(chosen, named))
          go(Paths.buying(number(id), cutting.id))
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

        # Onto the shelf, each piece with what the delivery note says of it.
        def take_in(id, cloth, order, delivery)
          found = mine(id, cloth, order)
          came = workroom.orders.deliveries([found.id]).fetch(found.id, []).find { |one| one.id == number(delivery) } or
            raise Store::Missing, "no such delivery"
          workroom.orders.take_in(found, came.id, came.told["pieces"].map { |piece| spec(piece) })
          back(id, cloth)
        end

        def send_back(id, cloth, order, delivery)
          workroom.orders.send_back(mine(id, cloth, order), number(delivery))
          back(id, cloth)
        end

        # For a piece that came with something amiss.
        def credit(id, cloth, order)
          found, cutting = mine(id, cloth, order), planned(id, cloth)
          shown = shown_orders(cutting).find { |one| one.order.id == found.id }
          piece = shown.deliveries.flat_map { |_, told| told[:pieces] }.find { |one| one[:piece] == params["piece"] }
          amiss = piece && shown.held.of_pieces({pieces: [piece]})
          raise Store::Missing, "nothing is amiss" if amiss.to_a.empty?

          about = amiss.map { |one| shown.says(one) }.join(" ")[0, 300]
          workroom.credits.ask(found.id, piece: piece[:piece], length: Says.written(piece[:length]), about: about)
          back(id, cloth)
        end

        private

        def supply = workroom.supply

        def code(cloth) = (@codes ||= {})[cloth] ||= supply.code_of(cloth)

        # A catalogue is long: it is read once, until another is told.
        def offers
          @offers ||= Work::Memory.fetch(Work::Memory.state([workroom.id, supply.catalogue_at]), [:catalogue]) {
            told = supply.catalogue
            told ? Says.read(:catalogue, told.told)[:cloths] : []
          }
        end

        def offer(cloth) = (named = code(cloth)) && offers.find { |one| one[:code] == named }

        def stock(cloth) = @stock ||= code(cloth)&.then { |named| supply.stock(named) }

        def pieces(cloth) = stock(cloth)&.then { |told| Says.read(:stock, told.told)[:pieces] }

        def bought(cutting, **more) =
          Work::Buying.new(cutting, offer: offer(cutting.id), stock: pieces(cutting.id), **more)

        # The one that was chosen, looked for on its batch alone.
        def way(cutting)
          batch = params["way"].to_s.split("|").first.to_s
          alike = pieces(cutting.id).to_a.select { |piece| piece[:batch] == batch }
          bought(cutting, stock: alike).ways.find { |one| Screens::Buying.key(one) == params["way"] }
        end

        def wanted(way, named) = {
          "code" => named[:code],
          "for" => house.name,
          "batch" => way.batch.to_s,
          "lengths" => way.lengths.map { |length| Says.written(length) },
          "price" => Says::PRICE.kept_of(way.price)
        }

        # @raise [Store::Missing] where the job or the cloth is nobody's here
        def theirs(id, cloth) = [workroom.jobs.find(number(id)), workroom.cloths.find(number(cloth))]

        def mine(id, cloth, order)
          found = workroom.orders.find(number(order))
          return found if [found.job_id, found.cloth_id] == [number(id), number(cloth)]

          raise Store::Missing, "another's order"
        end

        def shown_orders(cutting)
          orders = workroom.orders.of(cutting.sheet.job.id, cutting.id)
          came, credits = workroom.orders.deliveries(orders.map(&:id)), workroom.credits.of(orders.map(&:id))
          orders.map do |order|
            told = order.told && Says.read(:order, order.told)
            deliveries = came.fetch(order.id, []).map { |one| [one, Says.read_delivery(one.told)] }
            held = Work::OrderHeld.new(order, told, deliveries, cutting)
            Screens::BuyingOrder.new(order, held, deliveries, credits.fetch(order.id, []), cutting)
          end
        end

        def spec(piece)
          flaws = piece.fetch("flaws", []).map { |flaw| flaw.slice("from", "to") }
          {
            "delivered" => piece["length"],
            "width" => piece["width"],
            "repeat" => piece["vertical_repeat"],
            "batch" => piece["batch"],
            "place" => Words.say("buying.came_as", piece: piece["piece"])[0, 80],
            "flaws" => flaws
          }.compact
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
