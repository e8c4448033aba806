# frozen_string_literal: true

# Makes docs/how-the-figures-come-about.md and its drawings: bundle exec ruby support/figures_page.rb
require "fileutils"
require_relative "../lib/earnest_fold"

# The page and where it goes.
module FiguresPageFiles
  ROOT = File.expand_path("..", __dir__)
  EXAMPLES = {"one_pair" => "01-one-plain-pair", "patterned" => "02-patterned-interlined-bay"}.freeze
  COLOURS = /--color-([a-z-]+): (#\h+);/

  module_function

  # @return [Hash{String => String}] file names below docs/ and what belongs in them
  def contents
    page = EarnestFold::Documents::FiguresPage.new(
      EXAMPLES.transform_values { |name| File.read(File.join(ROOT, "test/golden/#{name}.fold.json")) }
    )
    page
      .drawings
      .to_h { |name, svg| ["figures/#{name}", styled(svg)] }
      .merge("how-the-figures-come-about.md" => page.text)
  end

  # A drawing in a file of its own carries the drawings' styles with it.
  def styled(svg)
    styles = File.read(File.join(ROOT, "assets/app.css")).split("@media").first
    colours = styles.scan(COLOURS).to_h
    rules =
      styles
        .lines
        .grep(/\A  \.drawing /)
        .map do |line|
          line
            .strip
            .gsub(/var\(--color-([a-z-]+)\)/) { colours.fetch($1) }
            .gsub("var(--font-sans)", "sans-serif")
            .delete_prefix(".drawing ")
        end
    svg.sub(/(<svg[^>]*>)/) { "#{$1}<style>text{font-family:sans-serif}#{rules.grep(/\A\./).join}</style>" }
  end

  def write
    contents.each do |name, text|
      path = File.join(ROOT, "docs", name)
      FileUtils.mkdir_p(File.dirname(path))
      File.write(path, text)
    end
  end
end

FiguresPageFiles.write if $PROGRAM_NAME == __FILE__
