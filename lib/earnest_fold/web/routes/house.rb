# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # The house rules, and who is at work.
      module House
        def self.registered(app)
          app.helpers(Settling)
          sets(app)
          people(app)
          app.get("/house-rules") { page(:house, Screens::House.new(house, Forms::HouseForm.new(house, nil))) }
          app.get("/house-rules/schools") { page(:schools, Screens::Schools.new(house)) }
          app.post("/house-rules") { settle_house }
          app.get("/house-rules/books") { page(:books, Screens::Books.new(house, Forms::BooksForm.new(house, nil))) }
          app.post("/house-rules/books") { settle_books }
        end

        def self.sets(app)
          app.post("/house-rules/sets") do
            like = house.set(params["like"]) || house.first_set
            redirect to("/house-rules/sets/#{workroom.house.add_set(name: fresh_name(like), spec: like.spec)}"), 303
          end

          app.get("/house-rules/sets/:id") do |id|
            set = rule_set(id)
            page(:rule_set, Screens::RuleSet.new(set, Forms::RuleSetForm.new(set, nil)))
          end

          app.post("/house-rules/sets/:id") { |id| settle_set(rule_set(id).id) }
        end

        def self.people(app)
          app.get("/people") { page(:people, Screens::People.new(workroom.people.names, workroom.by)) }

          app.post("/people") do
            form = Forms::PersonForm.new(params)
            unless form.valid?
              next(
                page(
                  :people,
                  Screens::People.new(workroom.people.names, workroom.by, typed: form.name, problem: form.problem),
                  status: 422
                )
              )
            end

            workroom.people.add(form.name)
            session["person"] = form.name
            redirect to("/people"), 303
          end
        end

        # Keeping what was decided, or showing what stands in the way.
        module Settling
          def rule_set(id) = house.set(number(id)) || raise(Store::Missing, "no set #{id}")

          def settle_house
            merged do
              now = workroom.house.read
              form = Forms::HouseForm.new(now, params)
              workroom.house.update(version: now.version, **form.values) if form.problems.empty?
              next redirect(to("/house-rules"), 303) if form.valid?

              page(:house, Screens::House.new(workroom.house.read, form), status: status_of(form))
            end
          end

          def settle_books
            merged do
              now = workroom.house.read
              form = Forms::BooksForm.new(now, params)
              workroom.house.update(version: now.version, rules: form.rules) if form.problems.empty?
              next redirect(to("/house-rules/books"), 303) if form.valid?

              page(:books, Screens::Books.new(workroom.house.read, form), status: status_of(form))
            end
          end

          def settle_set(id)
            merged do
              set = workroom.house.read.set(id)
              form = Forms::RuleSetForm.new(set, params)
              if form.problems.empty?
                workroom.house.update_set(id, name: form.name, spec: form.spec, version: set.version)
              end
              next redirect(to("/house-rules"), 303) if form.valid?

              page(:rule_set, Screens::RuleSet.new(workroom.house.read.set(id), form), status: status_of(form))
            rescue Store::Taken
              form.refuse("name", :name_taken)
              page(:rule_set, Screens::RuleSet.new(set, form), status: 422)
            end
          end

          # @return [Integer] the version, if it is the one that was shown; else one that nothing has
          def seen(version) = (params["version"].to_s == version.to_s) ? version : -1

          # @return [String] "Unlined, 2"
          def fresh_name(like)
            (2..).each do |count|
              "#{like.name[0, 50]}, #{count}".then { |name| return name if house.sets.none? { |set| set.name == name } }
            end
          end
        end
      end
    end
  end
end
