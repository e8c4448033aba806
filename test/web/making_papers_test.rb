# frozen_string_literal: true

require "web_test_helper"
require "pdf-reader"
require "stringio"

# Paper for making and hanging, read back: the words, the size of the pages, and the marks of a strip to a fifth of a
# millimetre.
class MakingPapersTest < WebTest
  R = EarnestFold::Reckoning
  # Points of an A4 sheet.
  PORTRAIT = [595.28, 841.89].freeze
  LINE = /([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l/

  def test_the_order_of_work_reads_as_the_screen_does
    pdf = read(station(lounge, "work-order.pdf"))
    words = plain(pdf)
    assert_match(/Orderofwork:Residents'lounge/, words)
    assert_match(/Pressthehem10\.0Firstpressline10\.0cm/, words)
    assert_equal PORTRAIT, pdf.pages.first.page_object[:MediaBox].last(2).map { |side| side.to_f.round(2) }
  end

  def test_the_order_of_a_whole_job_has_every_window
    words = plain(read("/jobs/#{lounge.id}/work-order.pdf"))
    assert_match(/Riverbay/, words)
    assert_match(/Gardensidelight/, words)
  end

  # Each mark's line lies where its running distance says, from the leading edge at the right, and the line to check
  # the printer by is as long as it says.
  def test_a_strip_is_full_size
    pdf = read(station(lounge, "strip.pdf"))
    assert_equal PORTRAIT.reverse, pdf.pages.first.page_object[:MediaBox].last(2).map { |side| side.to_f.round(2) }
    curtain = EarnestFold::Work::Job
      .new(lounge, workroom.cloths.all, workroom.house.read)
      .entries
      .first
      .reckoning
      .curtains
      .first
    heading = lounge_treatment.heading
    wanted =
      heading
        .marks(curtain.task, curtain.heading)
        .flat_map { |mark| [mark.at, mark.to] }
        .uniq
        .select { |at| at <= R::Length.mm(250) }
        .map { |at| at.mm.to_f }
        .sort
    lines = pdf.pages.first.raw_content.scan(LINE).map { |line| line.map(&:to_f) }
    assert_in_delta 100, lines.first.then { |x1, _, x2, _| x2 - x1 } / 72 * 25.4, 0.01
    first_band =
      lines
        .select { |x1, y, x2, y2| (x1 - x2).abs < 0.001 && (y - y2).abs > 55 }
        .group_by { |_, y, _, _| y.round(1) }
        .max_by(&:first)
        .last
        .map(&:first)
    edge = 12 + 250
    assert_equal wanted.map { |at| (edge - at).round(1) }.sort,
      first_band.map { |x| (x / 72 * 25.4).round(1) }.uniq.sort
  end

  def test_a_strip_tells_the_marks_as_a_table_too
    words = plain(read(station(lounge, "strip.pdf")))
    assert_match(/0overlap/, words)
    assert_match(/399\.0returnends/, words)
    assert_match(/131\.0.*?seam/, words)
    assert_match(/Leadingedgeattheright,clothfaceup/, words)
  end

  def test_the_hanging_sheet_and_the_tags
    words = plain(read(station(lounge, "hanging-sheet.pdf")))
    assert_match(/finisheddrop236\.2cm/, words)
    assert_match(/Hooks34/, words)
    assert_match(/Beforedrilling/, words)
    assert_match(/Riverbay,Left:dropatbothedges,planned236\.2cm/, words)
    tags = plain(read(station(lounge, "tags.pdf")))
    assert_equal 2, tags.scan("MadebySaltmarshLaneCurtains").size
    assert_match(/Reedbedlinenuniondrop236\.2cm/, tags)
  end

  # A title of several lines pushes the tags down, and the strip's stays on its sheet.
  def test_long_names_on_tags_and_strip
    long = "Ferrymastersquartersandnetstoreroomsbehindthelongboathouse"
    long_job = lounge
    workroom.rows(:jobs).where(id: long_job.id).update(title: long)
    workroom.rows(:windows).where(id: long_job.windows.first.id).update(room: long, name: "left of the long stair")
    runs = read(station(long_job, "tags.pdf")).pages.first.runs
    title, tags = runs.partition { |run| run.x < 50 }
    assert_operator title.map(&:y).uniq.size, :>, 1
    assert_operator title.map(&:y).min, :>, tags.map(&:y).max
    strip = read(station(long_job, "strip.pdf")).pages.first
    assert_operator strip.runs.map { |run| run.x + run.width }.max, :<, strip.width
  end

  def test_every_heading_has_its_strip
    headings = R::Headings.map { |kind| kind.example }
    headings.each do |example|
      id = workroom.jobs.bring_in(
        title: "Strip",
        unit: "cm",
        extras: {},
        cloths: {},
        windows: [
          [
            "Strip",
            "",
            [
              office.treatments.first.spec.merge(
                "heading" => example.transform_values do |value|
                  (value.is_a?(Hash) || value.is_a?(Array) || value.is_a?(Integer)) ? value : value.to_s
                end,
                "support" => {"kind" => "pole", "length" => "180 cm", "diameter" => "2.8 cm"}
              )
            ]
          ]
        ]
      )
      get "/jobs/#{id}/strip.pdf"
      assert_equal 200, last_response.status, example["kind"]
    end
  end

  private

  def lounge = job("Residents' lounge")

  def lounge_treatment =
    EarnestFold::Work::Job.new(lounge, workroom.cloths.all, workroom.house.read).entries.first.reckoning.treatment

  def read(path)
    get path
    assert_equal 200, last_response.status, path
    assert_equal "application/pdf", last_response.content_type
    PDF::Reader.new(StringIO.new(last_response.body))
  end

  def plain(pdf) = pdf.pages.map(&:text).join.gsub(/\s+/, "")
end
