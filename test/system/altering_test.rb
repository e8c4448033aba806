# frozen_string_literal: true

require "system_test_helper"
require "vips"

# A customer's pair from its arrival to the invoice, and a week rearranged by hand, as a person does it.
class AlteringInTheBrowserTest < SystemTest
  def setup
    super
    [:papers, :paper_numbers, :diary_moves].each { |table| workroom.rows(table).delete }
    workroom.house.update(version: workroom.house.read.version, rules: {})
  end

  def test_a_pair_is_shortened_from_arrival_to_invoice
    take_in
    note_what_came_in
    alter
    make
    hand_over
  end

  # A printed pair pinned at the window: what comes out at top and foot, its making by the bench's clock, its price by
  # that, and hung.
  def test_a_printed_pair_is_pinned_altered_at_top_and_foot_and_priced_by_its_clock
    visit "/jobs"
    click_link "Ticket office"
    unfold "Somebody's own curtain"
    within("details", text: "Somebody's own curtain") do
      fill_in "Curtains", with: "Printed pair"
      select "Shortened at top and foot", from: "Alteration"
      click_button "Take it in"
    end
    {"As it is, top to hem" => "210", "Comes out at the top" => "24", "Comes out at the foot" => "36",
     "Curtains alike" => "2", "Motif, below the top" => "60"}.each { |label, figure| type label, figure }
    select "yes", from: "Printed or bordered"
    select "single", from: "Hem as it is"
    type "its depth", "3"
    assert_selector ".read-back", text: "150.0 cm"
    assert_selector ".read-back", text: "36.0 cm comes out at the foot"
    find(".tape a", text: "Alter").click
    assert_selector ".drawing.altered", text: "10.0 top: seam line"
    assert_selector ".alter-figures", text: "36.0"
    assert_accessible
    work = "/jobs/#{office.id}/treatments/#{altered.id}"
    visit "#{work}/bench?step=sew_top_tuck&curtain=left"
    click_button "Start the clock"
    assert_button "Stop the clock"
    workroom.bench.say(altered.id, "sew_top_tuck", "", "corrected", value: "95")
    steps_left.each { |step| done(step) }
    visit "/jobs/#{office.id}/account"
    find("button[name=school][value=by_clock]").click
    assert_selector "tr.chosen", text: "by the clock"
    assert_selector "table", text: "1 h 35 min"
    visit "#{work}/hanging"
    click_button "It hangs"
    assert_text "It hangs."
  end

  def test_a_week_is_rearranged_by_hand
    visit "/diary"
    assert_accessible
    click_link "the week after"
    before = find(".promises tr", text: "Upper landing").all("td")[1].text
    row =
      first(".stretches li", text: "Upper landing", minimum: 0) ||
      (click_link("the week before") && first(".stretches li", text: "Upper landing"))
    row.find(".move-it").click
    fill_in "To the day", with: (Date.today + 60).then { |day| day + (1 - day.wday) % 7 }.strftime("%m/%d/%Y")
    click_button "Move it"
    # The row may be on its way out while it is looked at.
    assert_selector(".promises tr", text: "Upper landing") do |moved|
      (ready = moved.all("td")[1]) && ready.text != before
    end
    assert_selector ".promises", text: "days late"
    assert_equal 1, workroom.diary.moves.size
    visit "/diary?week=#{workroom.diary.moves.first.day.iso8601}"
    find(".stretches li", text: "moved by hand", match: :first).find(".move-it").click
    click_button "let it fall where it falls"
    assert_no_selector ".stretches", text: "moved by hand"
    assert_equal before, find(".promises tr", text: "Upper landing").all("td")[1].text
  end

  def test_the_keys_reach_an_alterations_stations
    go "Ferry chapel", "Measure"
    find("body").send_keys("2")
    assert_selector ".tape a[aria-current]", text: "Alter"
    find("body").send_keys("]")
    assert_selector "h1", text: "Organ loft"
    find("body").send_keys("5")
    assert_selector "h1", text: "Account: Ferry chapel"
  end

  private

  def take_in
    visit "/jobs"
    click_link "Ticket office"
    unfold "Somebody's own curtain"
    within("details", text: "Somebody's own curtain") do
      fill_in "Curtains", with: "Ticket hall pair"
      select "Shortened, the made hem kept", from: "Alteration"
      click_button "Take it in"
    end
    type "As it is, top to hem", "228"
    type "Wanted", "190"
    type "Curtains alike", "2"
    type "From (customer's words)", "the hook's eye"
    type "To (customer's words)", "just on the sill"
    assert_selector ".read-back", text: "From the hook's eye to just on the sill: 190.0 cm, which is 74 13/16 in."
    assert_accessible
  end

  def note_what_came_in
    click_link "What came in, and photographs"
    find(".noting .ground[data-curtain=right]").click(x: 0, y: 40)
    select "Worn or faded", from: "Kind"
    fill_in "In words", with: "pale along the fold", match: :first
    click_button "Note it"
    assert_selector ".notes-made", text: "Worn or faded, Right"
    picture = Tempfile.new(["pair", ".jpg"], binmode: true)
    picture.write(Vips::Image.black(300, 200, bands: 3).copy(interpretation: :srgb).jpegsave_buffer)
    picture.close
    attach_file "JPEG or PNG, at most 12 MB", picture.path
    click_button "Keep the photograph"
    # It is there as soon as it has come, whole.
    assert_selector(".photographs img", count: 1) { |image| image.evaluate_script("this.naturalWidth") == 300 }
    note = workroom.came_in.notes(altered.id).last
    assert_equal "right", note.curtain
    assert_in_delta 500, note.across, 20
  end

  def alter
    click_link "Back to Measure"
    select "single", from: "Hem as it is"
    assert_field "its turn-under"
    type "its depth", "3"
    find(".tape a", text: "Alter").click
    type "Seam", "1.5"
    assert_selector ".alter-figures", text: "187.0"
    assert_selector ".drawing.altered", text: "187.0"
    assert_selector "[data-code=keep_made_hem]"
    assert_accessible
  end

  # The lines drawn and compared, the tuck sewn and the length measured in the browser, at both edges; the steps
  # between are said to be done behind its back, as from another tablet.
  def make
    click_link "On to Making"
    click_link "To the bench"
    assert_selector ".table-head", text: "step 1 of 9"
    {
      "Draw the lines" => 2,
      "Compare the pair's lines" => 1,
      "Sew the tuck" => 2,
      "Measure the length" => 2
    }.each do |title, count|
      step_by_step(title, count)
    end
    visit "/jobs/#{office.id}/treatments/#{altered.id}/making"
    steps_left.each { |step| done(step) }
    visit current_path
    assert_selector ".results", text: "9 of 9"
  end

  def step_by_step(title, count)
    steps_left
      .take_while { |step| EarnestFold::Words.say("work_steps.#{step.code}.title") != title }
      .each { |step| done(step) }
    visit "/jobs/#{office.id}/treatments/#{altered.id}/bench"
    count.times do |index|
      assert_selector ".for", text: title
      measure(index)
      click_button "It is done"
      assert_settled
    end
  end

  def done(step) = step.names.each { |name| workroom.bench.say(altered.id, *name, "done") }

  # @return [Array<EarnestFold::Reckoning::MakingUp::Step>]
  def steps_left
    log = EarnestFold::Work::BenchLog.new(workroom.bench.entries(altered.id))
    EarnestFold::Work::Job
      .new(office, workroom.cloths.all, workroom.house.read)
      .alterations
      .first
      .steps
      .reject { |step| log.done?(step) }
  end

  # Of one curtain after the other, where each is measured.
  def measure(index)
    within all(".measuring", minimum: index + 1)[index] do
      planned = find(".check-of").text[/([\d.]+) cm, within/, 1]
      fill_in "at the leading edge", with: planned
      fill_in "at the return edge", with: planned
      click_button "Keep it"
    end
    assert_selector ".verdict.right", count: index + 1
  end

  def hand_over
    find(".tape a", text: "Account").click
    assert_selector ".grand b", text: "€"
    assert_selector "[data-code=price_by_time]"
    fill_in "For whom", with: "Ferry company, ticket hall"
    click_button "Write invoice 1"
    assert_link "Invoice 1"
    assert workroom.jobs.find(office.id).invoiced
    assert_accessible
  end

  def office = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id)

  def altered = office.treatments.find { |record| record.sort == "altered" }
end
