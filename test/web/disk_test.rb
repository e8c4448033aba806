# frozen_string_literal: true

require "web_test_helper"

# A disk that fills up is told before it is full; full, it is told in plain words, nothing is half written, and when
# there is room again it goes on.
class DiskTest < WebTest
  W = EarnestFold::Web
  App = W::App

  def teardown
    App.set :disk_room, W::DiskRoom.new
    super
  end

  def test_little_room_is_told_on_every_page
    get "/today"
    refute_match(/nearly full/, text)
    App.set :disk_room, W::DiskRoom.new(least: 1_000_000_000)
    %w[/today /jobs /house-rules].each do |page|
      get page
      assert_match(/The disk is nearly full: \d+ MB are left/, text)
    end
    assert_match(/[\d.]+ GB are left for what is written here/, text)
  end

  def test_where_nobody_knows_nothing_is_told
    App.set :disk_room, W::DiskRoom.new("/no/such/folder")
    get "/house-rules"
    assert_equal 200, last_response.status
    refute_match(/GB are left/, text)
  end

  %w[53100 58030].each do |code|
    define_method(:"test_#{code}_from_the_database_is_plain_words_and_undoes_it_all") do
      before = [workroom.jobs.list.size, S.db[:windows].count]
      refusing(code) { send_form("/jobs", "title" => "Too late", "unit" => "cm", "once" => "a" * 20) }
      assert_equal 507, last_response.status
      assert_match(/The disk is full.*Nothing was changed/, text)
      assert_equal before, [workroom.jobs.list.size, S.db[:windows].count]
      send_form("/jobs", "title" => "Too late", "unit" => "cm", "once" => "a" * 20)
      assert_equal [303, before.first + 1], [last_response.status, workroom.jobs.list.size]
    end
  end

  private

  # The database says what it says where its disk takes nothing more.
  def refusing(code)
    S.db.transaction(savepoint: true, auto_savepoint: true) do
      S.db.run(<<~SQL)
        CREATE FUNCTION no_room() RETURNS trigger LANGUAGE plpgsql AS
          $$ BEGIN RAISE EXCEPTION USING ERRCODE = '#{code}', MESSAGE = 'could not extend file'; END $$;
        CREATE TRIGGER no_room BEFORE INSERT ON jobs FOR EACH ROW EXECUTE FUNCTION no_room();
      SQL
      yield
      raise Sequel::Rollback
    end
  end
end
