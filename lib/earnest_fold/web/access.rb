# frozen_string_literal: true

module EarnestFold
  module Web
    # Who may what: each route says it, and {Handler} asks here before anything is done. An owner may everything; books
    # are an owner's, and whoever an owner allows; an apprentice sees of a job what is lent to them.
    Access = Reckoning::Value.define(:roles, :books) do
      # @param who [Store::Accounts::Who, nil] who is signed in
      # @param lent [Proc] whether the job of the address is lent to them; nil where there is none in it
      # @return [Boolean]
      def admits?(who, lent)
        return true if roles == Access::ANYBODY
        return false unless who
        return true if who.role == Store::People::OWNER
        return false if !roles.include?(who.role) || (books && !who.books)

        who.role != Store::People::APPRENTICE || lent.nil? || lent.call
      end

      # @param name [String] of a station
      # @return [Access] who may be there
      def self.station(name) = Access::STATIONS.fetch(name, Access::AT_JOB)

      # @param file [String] of a work's papers
      # @return [Access] who may have it
      def self.paper(file) = Access::WHERE_HUNG.include?(file) ? Access::HANGING : Access::AT_JOB

      # @return [Boolean] whether it is open to them as far as a job is lent to them
      def lends?(who) = who&.role == Store::People::APPRENTICE && roles.include?(who.role)
    end

    # Under these a request carries who is signed in (nil: nobody), and what gives Rodauth's own for it.
    Access::WHO, Access::AUTH = "earnest_fold.who", "earnest_fold.auth"
    # Under these, for the pages of signing in: the application that shows them, what keys and codes are printed with,
    # and whether the demo house is open.
    Access::INNER, Access::SECRET, Access::DEMO = "earnest_fold.inner", "earnest_fold.secret", "earnest_fold.demo"
    # Under these a session carries the page that was asked for, and what is said on the next one.
    Access::ASKED, Access::SAID = "asked", "said"
    Access::ANYBODY = ["anybody"].freeze
    Access::OWNERS = Access.new(roles: [Store::People::OWNER].freeze, books: false)
    Access::MAKERS = Access.new(roles: [Store::People::OWNER, Store::People::MAKER].freeze, books: false)
    Access::BOOKS = Access::MAKERS.with(books: true)
    # Whoever works at a job.
    Access::AT_JOB = Access.new(roles: [*Access::MAKERS.roles, Store::People::APPRENTICE].freeze, books: false)
    # Whoever is in the house.
    Access::HOUSE = Access.new(roles: Store::People::ROLES, books: false)
    # Where curtains are hung.
    Access::HANGING = Access::HOUSE
    # Whose week it is.
    Access::WEEK = Access::MAKERS.with(roles: [*Access::MAKERS.roles, Store::People::FITTER].freeze)
    Access::OPEN = Access.new(roles: Access::ANYBODY, books: false)

    # Curtains are made and hung by whoever is in the house; what they cost is in the books.
    Access::STATIONS = {
      "making" => Access::HANGING, "bench" => Access::HANGING, "hanging" => Access::HANGING, "account" => Access::BOOKS
    }.freeze
    # What whoever hangs them takes along.
    Access::WHERE_HUNG = %w[hanging-sheet.pdf tags.pdf].freeze
  end
end
