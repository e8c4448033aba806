# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # For whom the workroom works: all customers, and everything about each.
      class Customers < Handler
        include FirstScreen

        TAR = "application/x-tar"

        get Paths.customers, :all
        post Paths.customers, :add
        get Paths.customer(":customer"), :show
        post Paths.customer(":customer"), :change
        post Paths.customer(":customer", "houses"), :add_house
        post Paths.customer(":customer", "houses/:house"), :change_house
        post Paths.customer(":customer", "houses/:house/remove"), :remove_house
        post Paths.customer(":customer", "consents"), :consent
        post Paths.customer(":customer", "merge"), :merge
        get Paths.customer(":customer", "known.tar"), :known, to: Access::BOOKS
        post Paths.customer(":customer", "forget"), :forget, to: Access::OWNERS, sure: true
        post Paths.job(":id", "customer"), :of_job

        def all(status: 200, **more)
          words = params["q"].to_s.strip[0, 80]
          found = workroom.customers.list(words: words, page: page_asked)
          page(:customers, Screens::Customers.new(found, words: words, page: page_asked, **more), status: status)
        end

        def add
          form = Forms::CustomerForm.new(nil, params)
          return all(status: 422, form: form) unless form.valid?

          go(Paths.customer(workroom.customers.add(form.values)))
        end

        def show(id, status: 200, **more)
          known = Work::KnownCustomer.new(workroom, number(id))
          shown = Screens::Customer.new(known, today: clock.today, may_forget: may?(Access::OWNERS), **more)
          page(:customer, shown, status: status)
        end

        def change(id)
          merged do
            customer = workroom.customers.find(number(id))
            form = Forms::CustomerForm.new(customer, params)
            next show(id, status: status_of(form), form: form) unless form.valid?

            workroom.customers.change(customer.id, form.values, version: customer.version)
            go(Paths.customer(customer.id))
          end
        end

        def add_house(id)
          form = Forms::CustomerHouseForm.new(nil, params)
          return show(id, status: 422, house_form: form) unless form.valid?

          workroom.customers.add_house(number(id), **form.values)
          go(Paths.customer(number(id)))
        rescue Store::Full
          show(id, status: 422, house_problem: :houses_full)
        end

        def change_house(id, house)
          merged do
            was = workroom.customers.houses(number(id)).find { |one| one.id == number(house) } or
              raise Store::Missing, "no house #{house}"
            form = Forms::CustomerHouseForm.new(was, params)
            next show(id, status: status_of(form), house_form: form, house: was.id) unless form.valid?

            workroom.customers.change_house(number(id), was: was, **form.values)
            go(Paths.customer(number(id)))
          end
        end

        def remove_house(id, house)
          workroom.customers.remove_house(number(id), number(house))
          go(Paths.customer(number(id)))
        end

        def consent(id)
          sort = params["sort"].to_s
          raise Store::Missing, "no consent #{sort}" unless Store::Customers::CONSENTS.include?(sort)

          workroom.customers.consent(number(id), sort, params["given"] == "yes", clock.today)
          go(Paths.customer(number(id)))
        end

        # The one whose page it is stays.
        def merge(id)
          Store::MergingCustomers.new(workroom).merge(number(id), number(params["other"].to_s))
          go(Paths.customer(number(id)))
        end

        # All that is known of them, to be handed to them.
        def known(id)
          customer = Work::KnownCustomer.new(workroom, number(id))
          noted(:customer_handed_out, customer: customer.customer.id)
          sent_as(TAR, "customer-#{customer.customer.id}.tar")
          Documents::CustomerArchive.new(workroom, customer) { |at| clock.long_day(at) }.pack
        end

        def forget(id)
          return show(id, status: 422, notice: :say_forget) unless params["sure"] == "yes"

          Store::Forgetting.new(workroom).forget(number(id)) { |job| Words.say("customer.job_of_nobody", number: job) }
          noted(:customer_forgotten, customer: number(id))
          go(Paths.customers)
        end

        # For whom a job is.
        def of_job(id)
          merged do
            job = workroom.jobs.find(number(id))
            form = Forms::ForWhomForm.new(workroom.customers, params, job)
            next page(:job, first_screen(sheet(id), whom: form), status: status_of(form)) unless form.valid?

            workroom.transaction do
              customer = form.customer
              workroom.jobs.set_customer(job.id, customer, customer && form.house, version: job.version)
            end
            go(Paths.job(job.id))
          end
        end
      end
    end
  end
end
