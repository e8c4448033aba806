# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Pages that belong to no job.
      module Pages
        def self.registered(app)
          app.get("/") { redirect to("/jobs"), 303 }
          app.get("/keys") { page(:keys, Screens::Marks.new) }
        end
      end
    end
  end
end
