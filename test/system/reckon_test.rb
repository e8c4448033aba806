# frozen_string_literal: true

require "system_test_helper"

# Reckon in the browser: the answer follows the hand, the address holds it, and nothing that was typed is lost.
class ReckonSystemTest < SystemTest
  FIGURES = {
    "Usable length" => %w[support.length 248],
    "Left return" => %w[return_left 7],
    "Right return" => %w[return_right 7],
    "Overlap, in all" => %w[overlap 8],
    "Drop, left" => %w[drop.readings.left 229],
    "Width" => %w[cloth.width 138],
    "Selvedge, each edge" => %w[cloth.selvedge 1],
    "Repeat, along" => %w[cloth.vertical_repeat 64],
    "Hem depth" => %w[making.hem.depth 8]
  }.freeze

  def teardown
    slow(0)
    super
  end

  # Milliseconds of line.
  Walks.some([0, 150, 400], 1).each do |latency|
    define_method(:"test_the_answer_follows_quick_typing_on_a_line_of_#{latency}_ms") do
      visit "/reckon"
      slow(latency)
      FIGURES.each { |label, (_, figure)| fill_in label, with: figure }

      assert_selector ".to-order b", text: "16 m"
      assert_selector "[data-figure=repeats] b", text: "256.0"
      FIGURES.each { |label, (_, figure)| assert_field label, with: figure }
      assert_address(FIGURES.values.to_h)
    end
  end

  def test_the_address_alone_gives_the_same_answer
    visit "/reckon"
    FIGURES.each { |label, (_, figure)| fill_in label, with: figure }
    assert_selector "[data-figure=cut] b", text: "249.0"
    assert_selector "#heading-cards .heading-card", minimum: 6
    assert_no_selector "[data-same]", visible: :all
    choose "Eyelets", allow_label_click: true
    assert_current_path(/heading.kind=eyelet/, url: true)
    assert_selector "#heading-cards input[value=eyelet]:checked", visible: :all
    assert_selector ".to-order b"
    there, answered = page.current_url, find(".reckon-head").text
    visit "/jobs"
    visit there
    assert_equal answered, find(".reckon-head").text
    assert_field "Repeat, along", with: "64"
  end

  # Whatever is reckoned meanwhile, the name for the job stays, and the hand stays in its field.
  def test_a_name_that_waits_while_figures_are_typed
    visit "/reckon?support.length=248&drop.readings.left=229&cloth.width=138&unit=cm"
    fill_in "For whom", with: "Boathouse stairs"
    fill_in "Usable length", with: "30"
    assert_current_path(/support.length=30&/, url: true)
    find_field("Usable length").send_keys("0")
    assert_current_path(/support.length=300&/, url: true)
    assert_equal "support.length", page.evaluate_script("document.activeElement.name")
    assert_field "For whom", with: "Boathouse stairs"
  end

  def test_a_figure_that_cannot_be_read_says_so_and_stays
    visit "/reckon?support.length=248&drop.readings.left=229&cloth.width=138&unit=cm"
    fill_in "Usable length", with: "twelve"
    find_field("Usable length").send_keys(:tab)
    assert_selector "#support-length[aria-invalid=true]"
    assert_field "Usable length", with: "twelve"
    fill_in "Usable length", with: "300"
    find_field("Usable length").send_keys(:tab)
    assert_no_selector "[aria-invalid]"
    assert_selector ".to-order b"
  end

  def test_what_is_kept_is_what_was_typed_last
    visit "/reckon?support.length=248&drop.readings.left=229&cloth.width=138&unit=cm"
    fill_in "For whom", with: "Boathouse stairs"
    slow(400)
    fill_in "Drop, left", with: "235"
    click_button "Keep as a job"
    assert_selector ".tape a[aria-current]", text: "Measure"
    slow(0)
    assert_selector ".where", text: "Boathouse stairs"
    assert_field "Drop, left", with: "235"
    assert_field "Usable length", with: "248"
    assert_equal 1, workroom.jobs.list.count { |line| line.title == "Boathouse stairs" }
  end

  def test_an_answer_that_does_not_come_is_asked_for_again_and_the_old_one_is_faint
    visit "/reckon?support.length=248&drop.readings.left=229&cloth.width=138&unit=cm"
    assert_no_selector "#answer.stale"
    block("*/reckon?*")
    fill_in "Repeat, along", with: "64"
    assert_selector "#answer.stale"
    assert_no_selector "[data-figure=repeats]"
    block
    assert_selector "[data-figure=repeats] b", text: "256.0"
    assert_no_selector "#answer.stale"
    # What the line lost is told there.
    page.driver.browser.logs.get(:browser)
  end

  def test_at_the_cloth_too_it_is_told_how_near_it_is
    go "Breakfast room", "Cloth"
    assert_selector "#near .near-figure", text: "Pole"
    before = find("#near .near-figure", text: "Cloth width").text
    type "Seam", "2.5"
    assert_settled
    assert_no_selector "#near .near-figure", text: before
    assert_selector "#near .near-figure", text: "Cloth width"
  end

  def test_in_the_hand_it_fits_and_the_answer_stays_in_sight
    [390, 768, 1280].each do |width|
      Browser.size(page, width, 800)
      visit "/reckon"
      FIGURES.each { |label, (_, figure)| fill_in label, with: figure }
      assert_selector ".to-order b", text: "16 m"
      assert_equal width, page.evaluate_script("document.documentElement.scrollWidth")
      assert page.evaluate_script(<<~JS), "the answer is out of sight at #{width}"
        (function () {
          var box = document.querySelector(".to-order b").getBoundingClientRect();
          return box.top >= 0 && box.bottom <= window.innerHeight;
        })()
      JS
    end
  end

  def test_the_accessibility_rules_find_nothing
    study = "support.length=248&drop.readings.left=229&cloth.width=138&cloth.vertical_repeat=64&unit=cm"
    paths = ["/reckon", "/reckon?#{study}", "/reckon/beside?#{study}", "/reckon?kind=shorten_at_hem",
      "/reckon?kind=top_and_foot&existing_length=240&wanted_length=200", "/reckon?#{study}&support.length=x"]
    paths.product([1280, 390]).each do |path, width|
      Browser.size(page, width, 800)
      visit path
      assert_empty findings.map { |finding| "#{path} #{finding}" }
    end
  end

  private

  def block(*addresses)
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp("Network.setBlockedURLs", urls: addresses)
  end

  def assert_address(wanted)
    assert_selector ".to-order"
    said = URI.decode_www_form(URI.parse(page.current_url).query).to_h
    assert_equal wanted, said.slice(*wanted.keys)
    assert_empty said.keys.grep(/\Awas_/)
  end
end
