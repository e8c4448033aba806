# frozen_string_literal: true

require "web_test_helper"

# Whatever is sent with a key is done once, however often it arrives.
class OnceTest < WebTest
  KEY = "11111111-aaaa-bbbb-cccc-000000000001"

  def test_a_job_sent_twice_is_made_once_and_both_are_led_to_it
    first, again = Array.new(2) { send_form("/jobs", "title" => "Boat shed", "unit" => "cm", "once" => KEY) }

    assert_equal [303, 303], [first.status, again.status]
    assert_equal first.headers["Location"], again.headers["Location"]
    assert_equal 1, workroom.jobs.list.count { |line| line.title == "Boat shed" }
  end

  def test_the_same_key_with_something_else_in_it_is_another_thing
    ["Boat shed", "Net loft"].each { |title| send_form("/jobs", "title" => title, "unit" => "cm", "once" => KEY) }

    assert_empty ["Boat shed", "Net loft"] - workroom.jobs.list.map(&:title)
  end

  def test_what_was_refused_leaves_its_key_free
    assert_equal 422, send_form("/jobs", "title" => "", "unit" => "cm", "once" => KEY).status
    assert_equal 422, send_form("/jobs", "title" => "", "unit" => "cm", "once" => KEY).status
    assert_equal 303, send_form("/jobs", "title" => "Boat shed", "unit" => "cm", "once" => KEY).status
  end

  def test_an_invoice_clicked_twice_is_one_and_leaves_no_gap
    2.times do
      send_form("/jobs/#{office.id}/papers", "kind" => "invoice", "customer" => "A", "number" => "", "once" => KEY)
    end
    send_form("/jobs/#{office.id}/papers", "kind" => "invoice", "customer" => "A", "number" => "", "once" => KEY.succ)

    numbers = workroom.bills.of(office.id).select { |paper| paper.kind == "invoice" }.map(&:number)

    assert_equal [numbers.min, numbers.min + 1], numbers.sort
  end

  def test_a_key_that_is_none_is_no_key
    ["x", "a" * 200, "ü" * 10, ""].each { |key| send_form("/jobs", "title" => "Many", "unit" => "cm", "once" => key) }
    send_form("/jobs", "title" => "Many", "unit" => "cm", "once[a]" => KEY)

    assert_equal 5, workroom.jobs.list.count { |line| line.title == "Many" }
  end

  def test_a_journal_is_told_where_it_leads_and_not_sent_there
    answer = send_form("/jobs", :headers => {"X-Journal" => "1"}, "title" => "Boat shed", "unit" => "cm", "once" => KEY)

    assert_equal 200, answer.status
    assert_match(%r{\A/jobs/\d+\z}, answer.headers["X-Go"])
  end

  def test_every_form_of_every_page_carries_a_key_of_its_own
    job = office
    pages = [
      "/jobs",
      "/jobs/#{job.id}",
      "/jobs/#{job.id}/account",
      "/cloths/new",
      "/shelf",
      "/shelf/new",
      "/house-rules",
      "/house-rules/books",
      "/people",
      "/diary",
      *%w[measure heading cloth cutting making bench hanging].map { |name| station(job, name) }
    ]
    seen = Set.new
    (pages + pages.first(2)).each do |address|
      get address
      forms = last_response.body.scan(%r{<form[^>]*method="post".*?</form>}m)

      assert_operator forms.size, :>, 0, address
      keys = forms.filter_map { |form| form[/name="once" value="([\w-]{36,64})"/, 1] }
      assert_equal forms.size, keys.size, address
      keys.each { |key| assert seen.add?(key), address }
    end
  end
end
