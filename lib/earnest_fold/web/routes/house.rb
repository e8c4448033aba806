# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The house rules.
      class House < Handler
        get Paths.house, :show
        post Paths.house, :settle, to: Access::OWNERS
        get Paths.schools, :schools
        get Paths.books, :books, to: Access::BOOKS
        post Paths.books, :settle_books, to: Access::OWNERS
        post Paths.sets, :add_set, to: Access::OWNERS
        get Paths.set(":id"), :set
        post Paths.set(":id"), :settle_set, to: Access::OWNERS

        def show
          copied = {copy: Store::Copies.last, copy_old: Store::Copies.old?(workroom, Time.now)}
          page(:house, Screens::House.new(house, Forms::HouseForm.new(house, nil), **copied))
        end

        def settle
          settled(Forms::HouseForm, Screens::House, :house, Paths.house) { |form| form.values }
        end

        def schools = page(:schools, Screens::Schools.new(house))

        def books = page(:books, Screens::Books.new(house, Forms::BooksForm.new(house, nil)))

        def settle_books
          settled(Forms::BooksForm, Screens::Books, :books, Paths.books) { |form| {rules: form.rules} }
        end

        def add_set
          like = house.set(params["like"]) || house.first_set
          go(Paths.set(workroom.house.add_set(name: fresh_name(like), spec: like.spec)))
        end

        def set(id)
          set = fetch(house, id)
          page(:rule_set, Screens::RuleSet.new(set, Forms::RuleSetForm.new(set, nil)))
        end

        def settle_set(id)
          merged do
            set = fetch(workroom.house.read, id)
            form = Forms::RuleSetForm.new(set, params)
            if form.problems.empty?
              workroom.house.update_set(set.id, name: form.name, spec: form.spec, version: set.version)
            end
            next go(Paths.house) if form.valid?

            shown = Screens::RuleSet.new(workroom.house.read.set(id), form)
            page(:rule_set, shown, status: status_of(form))
          rescue Store::Taken
            form.refuse("name", :name_taken)
            page(:rule_set, Screens::RuleSet.new(set, form), status: 422)
          end
        end

        private

        # @return [Store::RuleSet]
        def fetch(house, id) = house.set(number(id)) || raise(Store::Missing, "no set #{id}")

        # Keeps what was decided of the house, or shows what stands in the way.
        # @yieldparam form [Forms::FieldForm]
        # @yieldreturn [Hash] what is to be kept
        def settled(form_class, screen_class, view, path)
          merged do
            now = workroom.house.read
            form = form_class.new(now, params)
            workroom.house.update(version: now.version, **yield(form)) if form.problems.empty?
            next go(path) if form.valid?

            page(view, screen_class.new(workroom.house.read, form), status: status_of(form))
          end
        end

        # @return [String] "Unlined, 2"
        def fresh_name(like)
          (2..)
            .lazy
            .map { |count| "#{like.name[0, 50]}, #{count}" }
            .find { |name| house.sets.none? { |set| set.name == name } }
        end
      end
    end
  end
end
