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
            page(:find, words.empty? ? Screens::Find.new("", [], []) : Screens::Find.new(words, workroom.jobs.find_words(words), workroom.cloths.find_words(words)))
          end

          app.get("/keys") { page(:keys, Screens::Marks.new) }
        end
      end
    end
  end
end
