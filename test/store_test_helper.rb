# frozen_string_literal: true

require "logger"
require "test_helper"

EarnestFold::Store.connect(ENV.fetch("DATABASE_URL")) unless EarnestFold::Store.connected?

# A run that was broken off leaves behind what its browser tests had kept: such a database is begun anew.
module LeftBehind
  # What a workroom begins with.
  BEGUN = %i[rule_sets].freeze

  def self.clear(db)
    return if in_tables(db).empty?

    db.run("DROP SCHEMA public CASCADE")
    db.run("CREATE SCHEMA public")
  end

  def self.in_tables(db)
    tables = of_workrooms(db) - BEGUN
    return [] if tables.empty?

    db.get(tables.map { |table| db[table].exists.as(table) }).zip(tables).filter_map { |any, table| table if any }
  end

  def self.of_workrooms(db) =
    db[Sequel[:information_schema][:columns]]
      .where(table_schema: "public", column_name: "workroom_id")
      .select_map(:table_name)
      .map(&:to_sym)

  # Of a test that really commits: what it leaves is in the way of whichever comes after it, by chance.
  module Nothing
    def before_setup
      @there_before = kept_until_the_end? ? [] : LeftBehind.in_tables(EarnestFold::Store.db)
      super
    end

    def after_teardown
      super
      assert_empty LeftBehind.in_tables(EarnestFold::Store.db) - @there_before, "left" unless kept_until_the_end?
    end

    private

    def kept_until_the_end? = false
  end
end

EarnestFoldTest.include(LeftBehind::Nothing)

LeftBehind.clear(EarnestFold::Store.db)
EarnestFold::Store.migrate
# Made outside the tests' transactions, so that it outlives them.
EarnestFold::Store.workroom.house.read

# Whoever signed in, as the application finds them: an owner of the tests' workroom, where a test asks for no other.
module SignedIn
  Who = EarnestFold::Store::Accounts::Who
  KEY = "earnest_fold.who"

  def self.owner(workroom = EarnestFold::Store.workroom, **more) =
    Who.new(account_id: 0, workroom_id: workroom.id, name: "Ida Marram", role: "owner", books: true,
      second: false, person_id: 0, **more)
end

require "hidden_faults"

# A test with a database, which forgets everything afterwards.
class StoreTest < EarnestFoldTest
  include HiddenFaults

  S = EarnestFold::Store

  def run
    result = nil
    S.db.transaction(rollback: :always, auto_savepoint: true) { result = super }
    result
  end

  private

  def kept_until_the_end? = true

  def workroom = @workroom ||= S.workroom

  def other_workroom
    row = S.db[:workrooms].returning.insert(name: "The Other Room").first
    S::Workroom.new(row[:id])
  end

  # Counts the queries that the block makes; planning a prepared one is not another.
  def queries
    log = StringIO.new
    logger = Logger.new(log)
    S.db.loggers << logger
    yield
    log.string.lines.count { |line| line.match?(/\(\d+\.\d+s\)/) && !line.match?(/PREPARE|SAVEPOINT|BEGIN|COMMIT/) }
  ensure
    S.db.loggers.delete(logger)
  end
end
