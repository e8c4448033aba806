# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # Pages that belong to no job.
      class Elsewhere < Handler
        get Paths.find, :find
        get Paths.keys, :keys, to: Access::HOUSE
        get Paths.scanned(":code"), :scanned, to: Access::HOUSE

        def find
          words = params["q"].to_s.strip[0, 80]
          return page(:find, Screens::Find.new(words, [], [], [])) if words.empty?

          found = [workroom.jobs, workroom.cloths].map { |all| all.find_words(words) }
          page(:find, Screens::Find.new(words, *found, workroom.customers.list(words: words)))
        end

        # A label's code: whether they may see what it opens is asked there.
        def scanned(code)
          go(ShortCode.page(secret, workroom.id, code) || raise(Store::Missing, "no such label"))
        end

        def keys = page(:keys, Screens::Keys.new)
      end
    end
  end
end
