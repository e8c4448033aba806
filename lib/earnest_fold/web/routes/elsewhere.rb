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
          page(:find, Screens::Find.new(words, **(words.empty? ? {} : found(words))))
        end

        # A label's code: whether they may see what it opens is asked there.
        def scanned(code)
          go(ShortCode.page(secret, workroom.id, code) || raise(Store::Missing, "no such label"))
        end

        def keys = page(:keys, Screens::Keys.new)

        private

        def found(words)
          {
            jobs: workroom.jobs.find_words(words),
            customers: workroom.customers.list(words: words),
            cloths: workroom.cloths.find_words(words),
            pieces: workroom.shelf.labelled(words),
            papers: papers(words)
          }
        end

        # Whoever sees the books finds a paper by its number, with or without what it is called.
        def papers(words)
          number = words[/\A(?:\p{L}+ )?(\d{1,9})\z/, 1]
          (number && may?(Access::BOOKS)) ? workroom.bills.numbered(Integer(number, 10)) : []
        end
      end
    end
  end
end
