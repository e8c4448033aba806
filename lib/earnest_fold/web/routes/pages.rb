# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Pages that belong to no job.
      module Pages
        def self.registered(app)
          app.get("/") { redirect to("/jobs"), 303 }
          app.get("/find") do
            words = params["q"].to_s.strip[0, 80]
            found = words.empty? ? [[], []] : [workroom.jobs, workroom.cloths].map { |all| all.find_words(words) }
            page(:find, Screens::Find.new(words, *found))
          end

          app.get("/keys") { page(:keys, Screens::Marks.new) }
        end
      end
    end
  end
end
