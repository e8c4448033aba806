# frozen_string_literal: true

require "system_test_helper"

# Four curtains made to the end at the bench, each by another method: every step ticked, width by width where a curtain
# is wide, and the wrap that was measured settling the flat width.
class MethodsInTheBrowserTest < SystemTest
  BAG = {
    "making" => {"side" => {"kind" => "single", "depth" => "3.5 cm", "turn_under" => "1.5 cm"}},
    "lining" => {
      "lift" => "3 cm",
      "inset" => "3.5 cm",
      "side_turn" => "1.5 cm",
      "hem" => {"kind" => "single", "depth" => "5 cm", "turn_under" => "1 cm"}
    }
  }.freeze
  LINED = {
    "lining" => {"lift" => "2.5 cm", "side_turn" => "2 cm", "hem" => {"kind" => "double", "depth" => "5 cm"}}
  }.freeze
  ONE_WAY = {"opening" => {"kind" => "one_way_left"}}.freeze
  WAVE = {
    "heading" => {"kind" => "wave", "glider_spacing" => "8 cm", "hook_pitch" => "14 cm", "top_turn" => "9 cm"}
  }.freeze
  STAGE = {
    "heading" => {"kind" => "webbing", "fullness" => "1.75", "top_turn" => "10 cm", "eyelet_spacing" => "30 cm"},
    "weighting" => "chain"
  }.freeze

  def test_a_bagged_pair_the_middle_of_the_hem_first
    made_by("bagged_middle_first", BAG)
    before = flat_width
    make do |title|
      next unless title == "Turn and match the centres" && !spec.key?("wrap_measured")

      within(first(".measuring")) do
        fill_in "value", with: "4"
        click_button "Keep it"
      end
      assert_selector ".verdict", text: "right"
    end
    assert_equal "4 cm", spec["wrap_measured"]
    assert_equal before - EarnestFold::Reckoning::Length.cm(1), flat_width
    assert_empty untold(%w[seam_across_top left], %w[finish_corners right])
  end

  def test_a_tabled_curtain_of_five_widths
    made_by("tabled", LINED, ONE_WAY, "making" => {"widths" => "5"})
    make
    assert_empty untold(*(1..5).map { |width| ["table_lining", "single:#{width}"] })
  end

  def test_a_wave_with_its_lining_under_the_hem
    hem = {"lining" => {"lift" => "3 mm", "side_turn" => "2 cm", "hem" => {"kind" => "none"}}}
    made_by("lining_under_hem", hem, ONE_WAY, WAVE)
    make
    assert_empty untold(%w[set_out_heading single], %w[fold_hem_over single], %w[take_up_lining single])
  end

  def test_a_stage_curtain
    made_by("unlined_hem_first", ONE_WAY, STAGE)
    make
    assert_empty untold(%w[lay_in_chain single], %w[form_pleats single], %w[set_grommets single])
  end

  private

  def office = workroom.jobs.find(workroom.jobs.list.find { |job| job.title == "Ticket office" }.id)

  def treatment = office.treatments.first

  def spec = treatment.spec

  def made_by(method, *changes)
    lining = workroom.cloths.all.find { |cloth| cloth.spec["use"] == "lining" }.id.to_s
    made = changes.reduce(spec.merge("method" => method)) { |sum, one| over(sum, one) }
    made["lining"] &&= made["lining"].merge("cloth" => lining)
    workroom.treatments.update(treatment.id, made, version: treatment.version)
  end

  def over(plain, changes)
    plain.merge(changes) do |key, old, new|
      (old.is_a?(Hash) && new.is_a?(Hash) && key != "heading") ? over(old, new) : new
    end
  end

  # Every step to the last, as the bench shows it.
  def make
    visit "/jobs/#{office.id}/treatments/#{treatment.id}/bench"
    steps = find(".table-head p").text[/of (\d+)/, 1].to_i
    (1..steps).each do |number|
      assert_selector ".table-head p", text: "step #{number} of #{steps}"
      yield find(".for").text if block_given?
      ticks = [all(".in-turn li", minimum: 0).size, 1].max
      ticks.times do |tick|
        assert_selector ".in-turn .ticked", count: tick if ticks > 1
        find("button.huge-act").click
      end
    end
    assert_selector(".in-turn .ticked, .huge-act.quiet", minimum: 1)
    visit "/jobs/#{office.id}/treatments/#{treatment.id}/making"
    assert_selector ".results p", text: "#{steps} of #{steps}"
  end

  # @return [Array] those of these names that nobody ticked
  def untold(*names)
    ticked = workroom.bench.entries(treatment.id).select { |said| said.kind == "done" }
    names - ticked.map { |said| [said.step, said.curtain] }
  end

  def flat_width =
    EarnestFold::Work::Job.new(office, workroom.cloths.all, workroom.house.read).entries.first.reckoning
      .curtains.first.flat_width
end
