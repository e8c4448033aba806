# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Who works here and what they may, and the page of whoever is signed in.
      class People < Handler
        # Under these a session carries a link that is told once: an invitation's, a calendar's.
        LINK, FEED = "link", "feed"

        open_to Access::OWNERS
        get Paths.people, :all
        post Paths.people, :add, sure: true
        get Paths.person(":person"), :show
        post Paths.person(":person"), :change, sure: true
        post Paths.person(":person", "invite"), :invite, sure: true
        post Paths.person(":person", "lent"), :lend
        post Paths.person(":person", "remove"), :remove, sure: true
        get Paths.you, :you, to: Access::HOUSE
        post Paths.you_at, :change_workroom, to: Access::HOUSE
        post Paths.end_device, :end_device, to: Access::HOUSE
        post Paths.your_calendar("give"), :give_calendar, to: Access::WEEK
        post Paths.your_calendar("take"), :take_calendar, to: Access::WEEK

        def all(status: 200, **more) =
          page(:people, Screens::People.new(workroom.people.all, **more), status: status)

        def add
          form = Forms::PersonForm.new(params)
          return all(status: 422, form: form) unless form.valid?

          made = workroom.people.add(form.name, role: form.role, books: form.books)
          noted(:person_added, person: made, role: form.role, books: form.books)
          go(Paths.person(made))
        end

        def show(id, status: 200, form: nil, notice: nil)
          person = workroom.people.find(number(id))
          link = session.delete(LINK)
          shown = Screens::Person.new(
            person,
            jobs: lendable(person.id),
            lent: workroom.people.lent(person.id),
            link: link && "#{request.base_url}#{Paths.join(link)}",
            form: form,
            notice: notice
          )
          page(:person, shown, status: status)
        end

        def change(id)
          merged do
            person = workroom.people.find(number(id))
            form = Forms::KnownPersonForm.new(person, params)
            next show(id, status: status_of(form), form: form) unless form.valid?

            workroom.people.change(person, **form.values)
            may = form.values.slice(:role, :books)
            noted(:role_changed, person: person.id, **may) unless may == person.to_h.slice(:role, :books)
            go(Paths.person(person.id))
          rescue Store::Taken
            form.refuse("name", :person_taken)
            show(id, status: 422, form: form)
          end
        rescue Store::OutOfTurn
          show(id, status: 422, notice: :last_owner)
        end

        # The link is told once: only its print is kept.
        def invite(id)
          session[LINK] = workroom.invitations.make(workroom.people.find(number(id)).id)
          noted(:invited, person: number(id))
          go(Paths.person(number(id)))
        end

        def lend(id)
          person = workroom.people.find(number(id))
          form = Forms::LendForm.new(lendable(person.id).map(&:id), workroom.people.lent(person.id), params)
          workroom.people.lend(person.id, form.lent)
          workroom.people.take_back(person.id, form.taken_back)
          go(Paths.person(person.id))
        end

        def remove(id)
          workroom.people.remove(number(id))
          noted(:person_removed, person: number(id))
          go(Paths.people)
        rescue Store::OutOfTurn
          show(id, status: 422, notice: :last_owner)
        end

        def you
          accounts = Store::Accounts
          page(
            :you,
            Screens::You.new(
              who,
              login: accounts.login(who.account_id),
              devices: accounts.devices_of(who.account_id),
              here: here,
              said: session.delete(Access::SAID),
              calendar: Screens::You::Calendar.new(
                theirs: may?(Access::WEEK),
                given: workroom.people.calendar?(who.person_id),
                address: session.delete(FEED)&.then { |key| "#{request.base_url}#{Paths.feed(key)}" }
              ),
              measuring: measuring,
              workrooms: accounts.workrooms_of(who.account_id)
            )
          )
        end

        # The address is told once: only its print is kept.
        def give_calendar
          session[FEED] = workroom.people.give_calendar(who.person_id)
          go(Paths.you)
        end

        def take_calendar
          workroom.people.take_calendar(who.person_id)
          go(Paths.you)
        end

        def change_workroom
          id = params["workroom"].to_s.to_i
          mine = Store::Accounts.workrooms_of(who.account_id).map(&:first)
          raise Store::Missing, "no workroom #{id}" unless mine.include?(id)

          session["workroom"] = id
          go(Paths.home)
        end

        def end_device
          Store::Accounts.end_device(who.account_id, params["device"].to_s)
          noted(:device_ended, account: who.account_id)
          go(Paths.you)
        end

        private

        def measuring =
          Screens::You::Measuring.new(
            theirs: may?(Access::AT_JOB),
            meters: workroom.meters.of(who.person_id),
            address: "#{request.base_url}#{Paths.readings}",
            key: session.delete(Metering::KEY)
          )

        # @return [Array<Store::Records::JobLine>] the jobs changed last, and those that are lent to them already
        def lendable(person)
          (workroom.jobs.list + workroom.jobs.list(only: workroom.people.lent(person))).uniq(&:id)
        end

        # @return [String] the print of this device's session
        def here = SessionKey.print_of(session["active_session_id"], secret)
      end
    end
  end
end
