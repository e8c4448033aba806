# frozen_string_literal: true

require "test_helper"
require_relative "../../support/assets"
require_relative "../../support/bill_of_materials"
require_relative "../../support/figures_page"
require "yaml"

# The tree as it is handed over: the styles are current, the words are there, nothing points outside.
class TreeTest < EarnestFoldTest
  def test_the_built_styles_are_current
    assert_predicate Assets, :current?, "run: ruby support/assets.rb"
  end

  # They are built before the tests, if need be: what is committed has to be what belongs together.
  def test_the_styles_that_are_committed_belong_to_the_screens_that_are
    changed = ->(*paths) { !system("git", "diff", "--quiet", "HEAD", "--", *paths, chdir: ROOT, err: File::NULL) }
    skip "not in a checkout, or in the middle of a change" if changed.call("assets/app.css", "package-lock.json", "lib")

    refute changed.call("assets", "public"), "commit what ruby support/assets.rb has built"
  end

  def test_the_styles_come_out_the_same_when_built_again
    skip "no styles builder here" unless File.exist?(root("node_modules/.bin/tailwindcss"))

    built = IO.popen(
      [root("node_modules/.bin/tailwindcss"), "-i", "assets/app.css", "--minify"],
      chdir: root,
      err: File::NULL,
      &:read
    )
    shipped = File.read(root("public/app.css"))
    shipped
      .scan(%r{/(fonts/[\w-]+\.woff2)\?(\h{12})})
      .each { |font, print| assert_equal Digest::SHA256.file(root("public", font)).hexdigest[0, 12], print }
    assert shipped.gsub(/(\.woff2)\?\h{12}/, '\1').strip == built.strip,
      "public/app.css is not what assets/app.css builds to"
  end

  def test_pages_and_styles_fetch_nothing_from_outside
    outside =
      (Dir[root("lib/**/*.erb")] + Dir[root("public/*.{css,js}")]).select do |file|
        File.read(file).match?(%r{(src|href|url\()=?["'(]*https?://})
      end
    assert_empty outside
  end

  def test_the_page_of_the_figures_is_current
    FiguresPageFiles.contents.each do |name, text|
      assert File.read(root("docs", name)) == text,
        "docs/#{name} is older than the rules: bundle exec ruby support/figures_page.rb"
    end
  end

  def test_a_view_asks_its_screen_and_names_nothing_of_the_house
    assert_empty Dir[root("lib/**/*.erb")].select { |file| File.read(file).include?("EarnestFold::") }
  end

  def test_addresses_stand_in_one_place
    ours = EarnestFold::Web::Paths.singleton_methods(false).filter_map { |name|
      EarnestFold::Web::Paths.public_send(name) if EarnestFold::Web::Paths.method(name).arity.zero?
    }
    first = ours.map { |path| path[%r{\A/[\w-]+}] }.compact.uniq
    written = /["'(](#{Regexp.union(first).source})[\/"'?#.]/
    files = Dir[root("lib/earnest_fold/web/**/*.{rb,erb}")].reject { |file| file.end_with?("web/paths.rb") }
    assert_empty files.select { |file| File.readlines(file).grep_v(/^\s*#/).any? { |line| line.match?(written) } }
  end

  # Which files run in one process is nobody's choice: two classes of one name would become one.
  def test_no_two_tests_have_one_name
    names = Dir[File.join(EarnestFold.root, "test/**/*_test.rb")]
      .flat_map { |file| File.read(file).scan(/^class (\w+) </).flatten.uniq }
    assert_empty names.tally.select { |_, count| count > 1 }.keys
  end

  def test_a_line_holds_one_thought
    ours = %w[{lib,test,support,db}/**/*.rb lib/**/*.erb assets/*.css public/*.js bin/* support/*.sh config.ru]
    files = ours.flat_map { |pattern| Dir[root(pattern)] }
    assert_operator files.size, :>, 500
    wide = files.flat_map do |file|
      File.readlines(file, chomp: true).each_with_index.filter_map do |line, index|
        "#{file}:#{index + 1}" if line.length > 120
      end
    end
    assert_empty wide
  end

  def test_every_check_and_heading_has_its_words
    words = YAML.load_file(root("config/locales/en.yml"), aliases: true)["en"]
    assert_empty EarnestFold::Reckoning::Checks::Kinds.map { |kind| kind::CODE } - words["checks"].keys
  end

  def test_every_heading_has_its_words_everywhere
    EarnestFold::Reckoning::Headings.each do |kind|
      paths = EarnestFold::Work::SpecFields.heading_paths("heading" => {"kind" => kind.kind})
      assert_empty paths.map { |path| "fields.#{path.tr(".", "_")}" }.reject { |key| EarnestFold::Words.say?(key) }
    end
  end

  def test_every_picture_is_linked_from_the_readme
    readme = File.read(root("README.md"))
    pictures = Dir[root("docs/screenshots/*.png")].map { |file| File.basename(file) }
    assert_operator pictures.size, :<, 20
    assert_empty pictures.reject { |picture| readme.include?("docs/screenshots/#{picture}") }
  end

  def test_the_bill_of_materials_is_current
    assert_equal BillOfMaterials.text, File.read(BillOfMaterials::FILE),
      "docs/sbom.cdx.json is older than the lock file: bundle exec ruby support/bill_of_materials.rb"
  end

  def test_every_dependency_says_why_it_is_there
    said = File.read(root("docs/ARCHITECTURE.md"))
    gems = File.read(root("Gemfile")).scan(/^\s*gem "([^"]+)"/).flatten
    assert_empty gems.reject { |name| said.include?("| #{name}") || said.include?(", #{name}") }
  end
end
