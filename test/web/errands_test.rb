# frozen_string_literal: true

require "web_test_helper"

# What takes longer than a page may wait is left to others: the page shows the best so far, how far they are, and an
# end to it. The one that works it out is called by hand here; test/store/worker_test.rb has a real one.
class ErrandsTest < WebTest
  App = EarnestFold::Web::App

  def setup
    super
    @patience = App.settings.patience
    App.set :patience, 0
    EarnestFold::Work::Memory.clear
  end

  def teardown
    App.set :patience, @patience
    super
  end

  def test_a_plan_is_left_to_others_and_kept_when_they_are_done
    get station(lounge, "cutting")
    assert_match(/by rule of thumb: a better one is looked for/, text)
    assert_includes last_response.body, %(hx-trigger="every 1s")
    refute_match(/value="Take|take to the table/i, text)
    get station(lounge, "cutting")
    assert_equal 3, errands.list.size

    work_off
    get station(lounge, "cutting")
    assert_match(/yes, proved/, text)
    refute_match(/rule of thumb/, text)
    EarnestFold::Work::Memory.clear
    get station(lounge, "cutting")
    assert_match(/takes of the shelf 2373.2/, text)
    assert_equal %w[done] * 3, errands.list.map(&:state)
  end

  # The drawings and lists are those of the plan that stands above them, not of the rule of thumb's before it.
  def test_what_was_drawn_so_far_makes_room_for_the_plan
    get station(lounge, "cutting")
    so_far = drawn
    work_off
    get station(lounge, "cutting")
    shown = drawn
    EarnestFold::Work::Memory.clear
    get station(lounge, "cutting")
    assert_equal drawn, shown
    refute_equal so_far, shown
  end

  def test_a_kept_plan_is_the_plan_itself
    plan = -> { EarnestFold::Work::Cutting.of(sheet(lounge), workroom, patience: App.settings.patience).cloth(reed.id) }
    assert plan.call.awaited
    work_off
    kept = plan.call
    assert_nil kept.awaited
    App.set :patience, 60
    workroom.rows(:kept_plans).delete
    EarnestFold::Work::Memory.clear
    assert_equal plan.call.plan, kept.plan
  end

  def test_what_it_is_made_from_changes_the_plan_that_is_asked_for
    get station(lounge, "cutting")
    work_off
    piece = workroom.shelf.all(cloths: [reed.id]).first
    workroom.shelf.use_up(piece.id, true)
    get station(lounge, "cutting")
    assert_match(/rule of thumb/, text)
  end

  def test_papers_and_the_table_wait_for_the_plan
    %w[plan.pdf plan.svg tickets.pdf].each do |file|
      get "/jobs/#{lounge.id}/cutting/#{reed.id}/#{file}"
      assert_equal 303, last_response.status
      follow_redirect!
      assert_match(/The plan of Reedbed.*Waiting for its turn/, text)
    end
    get "/jobs/#{lounge.id}/order.pdf"
    assert_equal 303, last_response.status
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/take")
    assert_match(%r{/errands/\d+}, last_response["Location"])
    assert_empty workroom.plans.of(lounge.id).open

    work_off
    get "/jobs/#{lounge.id}/cutting/#{reed.id}/plan.pdf"
    assert_equal "%PDF", last_response.body[0, 4]
  end

  def test_stopped_the_best_so_far_can_be_taken_and_it_can_be_tried_again
    get station(lounge, "cutting")
    errand = errands.list.find { |one| one.about["cloth"] == reed.id }
    send_form("/errands/#{errand.id}/stop", "back" => station(lounge, "cutting"))
    assert last_response["Location"].end_with?(station(lounge, "cutting"))
    work_off
    assert_equal "stopped", errands.find(errand.id).state
    get station(lounge, "cutting")
    assert_match(/Stopped/, text)
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/take")
    assert_equal %W[/jobs/#{lounge.id}/table/#{reed.id}], [last_response["Location"]].map { |at| at[%r{/jobs.*}] }
    send_form("/jobs/#{lounge.id}/cutting/#{reed.id}/release")

    send_form("/errands/#{errand.id}/again", "back" => station(lounge, "cutting"))
    EarnestFold::Work::Memory.clear
    work_off
    get station(lounge, "cutting")
    assert_match(/yes, proved/, text)
  end

  def test_why_it_is_not_there_is_told_and_nobody_asks_by_themselves
    get station(lounge, "cutting")
    first = errands.list.last
    errands.begin(first.id)
    errands.failed(first.id, "too_long")
    get "/errands/#{first.id}"
    assert_match(/Not done.*longer than three minutes.*Try again/, text)
    get "/errands"
    assert_match(/Not done It took longer/, text)
    get station(lounge, "cutting")
    assert_equal 3, errands.list.size
  end

  def test_a_paper_of_many_windows_is_written_beside
    20.times { |index| workroom.windows(lounge.id).copy(lounge.windows.first, name: "Bay #{index}") }
    files = Walks.some(EarnestFold::Documents::MakingPapers::FILES.keys, 2)
    files.each do |file|
      2.times { get "/jobs/#{lounge.id}/#{file}" }
      assert_equal 303, last_response.status
      follow_redirect!
      assert_match(/Waiting for its turn/, text)
      errand = errands.list.first
      get "/errands/#{errand.id}/paper"
      assert_equal 404, last_response.status
      work_off
      get "/errands/#{errand.id}/bar"
      assert_equal "true", last_response["HX-Refresh"]
      get "/errands/#{errand.id}"
      assert_match(/Done.*Open it/, text)
      get "/errands/#{errand.id}/paper"
      assert_equal ["application/pdf", "%PDF"], [last_response.media_type, last_response.body[0, 4]]
      assert_includes last_response["Content-Disposition"], file
    end
    assert_equal files.size, errands.list.size
  end

  def test_another_workrooms_errand_is_not_there
    theirs = other_workroom.errands.ask("paper", {"job" => 1, "file" => "tags.pdf", "title" => "Theirs"}, "x")
    ["", "/bar", "/paper"].each do |to|
      get "/errands/#{theirs.id}#{to}"
      assert_equal 404, last_response.status
    end
    %w[stop again].each { |to| assert_equal 404, send_form("/errands/#{theirs.id}/#{to}").status }
    assert_equal "waiting", other_workroom_of(theirs).state
  end

  private

  # What is drawn of each piece, and listed of its cuts.
  def drawn = last_response.body.scan(%r{<article class="piece-of">.*?</article>}m)

  def lounge = job("Residents' lounge")

  def reed = workroom.cloths.all.find { |cloth| cloth.spec["name"].start_with?("Reedbed") }

  def errands = workroom.errands

  def sheet(job) = EarnestFold::Work::Workroom.new(workroom).job(job.id)

  # What waits in the queue, one after the other.
  def work_off
    errands.list.reverse.select(&:live?).each do |waiting|
      errand = errands.begin(waiting.id)
      EarnestFold::Background::Doing.new(workroom, errand).call
    end
  end

  def other_workroom_of(errand)
    id = S.db[:errands].where(id: errand.id).get(:workroom_id)
    S::Workroom.new(id).errands.find(errand.id)
  end
end
