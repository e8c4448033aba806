# frozen_string_literal: true

# Keeps public/app.css current. The built file is committed, so that running needs no Node; it is built again only
# when what it is made from has changed, told by a digest beside it. Usage: ruby support/assets.rb [--vendor]
require "digest"
require "fileutils"

# The styles and the files they are made from.
module Assets
  ROOT = File.expand_path("..", __dir__)
  BUILT = File.join(ROOT, "public/app.css")
  STAMP = File.join(ROOT, "assets/app.css.digest")
  SOURCES = %w[
    assets/app.css
    package-lock.json
    lib/earnest_fold/web/views/**/*.erb
    lib/earnest_fold/drawings/**/*.rb
    lib/earnest_fold/web/screens/**/*.rb
  ].freeze
  VENDORED = {
    "htmx.org/dist/htmx.min.js" => "vendor/htmx.min.js",
    "htmx.org/LICENSE" => "vendor/htmx.LICENSE",
    "idiomorph/dist/idiomorph-ext.min.js" => "vendor/idiomorph-ext.min.js",
    "idiomorph/LICENSE" => "vendor/idiomorph.LICENSE",
    "@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2" => "fonts/source-sans-3.woff2",
    "@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-italic.woff2" =>
      "fonts/source-sans-3-italic.woff2",
    "@fontsource-variable/source-sans-3/LICENSE" => "fonts/source-sans-3.LICENSE",
    "@fontsource-variable/bitter/files/bitter-latin-wght-normal.woff2" => "fonts/bitter.woff2",
    "@fontsource-variable/bitter/LICENSE" => "fonts/bitter.LICENSE"
  }.freeze
  # Letters that few pages have, each script a file of its own.
  SCRIPTS = {
    "source-sans-3" => %w[cyrillic-ext cyrillic greek-ext greek vietnamese latin-ext],
    "bitter" => %w[cyrillic-ext cyrillic vietnamese latin-ext]
  }.freeze
  # The fonts of the papers, whole: names come in any script.
  PRINTED = {
    "@expo-google-fonts/source-sans-3/400Regular/SourceSans3_400Regular.ttf" => "source-sans-3-regular.ttf",
    "@expo-google-fonts/source-sans-3/700Bold/SourceSans3_700Bold.ttf" => "source-sans-3-bold.ttf",
    "@expo-google-fonts/source-sans-3/LICENSE_FONT" => "source-sans-3.LICENSE",
    "@expo-google-fonts/bitter/600SemiBold/Bitter_600SemiBold.ttf" => "bitter-semibold.ttf",
    "@expo-google-fonts/bitter/LICENSE_FONT" => "bitter.LICENSE",
    "dejavu-fonts-ttf/ttf/DejaVuSans.ttf" => "dejavu-sans.ttf",
    "dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf" => "dejavu-sans-bold.ttf",
    "dejavu-fonts-ttf/LICENSE" => "dejavu-sans.LICENSE"
  }.freeze

  module_function

  def current? = File.exist?(BUILT) && File.exist?(STAMP) && File.read(STAMP).strip == digest

  def digest
    files = SOURCES.flat_map { |glob| Dir[File.join(ROOT, glob)] }.sort
    Digest::SHA256.hexdigest(files.map { |file| "#{file.delete_prefix(ROOT)}\0#{File.binread(file)}".b }.join("\0"))
  end

  def build
    return if current?

    node = system("command -v npm >/dev/null 2>&1")
    unless node
      return (
        warn(
          "The styles are older than the screens, and there is no npm here to build them: install nodejs " \
            "and npm, then start again."
        )
      )
    end

    unless File.exist?(File.join(ROOT, "node_modules/.bin/tailwindcss"))
      run("npm ci --no-audit --no-fund --ignore-scripts --silent")
    end
    run("npm run --silent css")
    fingerprint
    File.write(STAMP, "#{digest}\n")
  end

  # A font that changes is another file.
  def fingerprint
    built =
      File
        .read(BUILT)
        .gsub(%r{/fonts/[\w-]+\.woff2}) do |font|
          "#{font}?#{Digest::SHA256.file(File.join(ROOT, "public", font)).hexdigest[0, 12]}"
        end
    File.write(BUILT, built)
  end

  def vendor
    VENDORED.each { |from, to| brought(from, File.join("public", to)) }
    SCRIPTS.each do |font, scripts|
      scripts.each do |name|
        file = "#{font}-#{name}"
        brought("@fontsource-variable/#{font}/files/#{file}-wght-normal.woff2", "public/fonts/#{file}.woff2")
      end
    end
    PRINTED.each { |from, to| brought(from, File.join("assets/fonts", to)) }
  end

  def brought(from, to) = FileUtils.cp(File.join(ROOT, "node_modules", from), File.join(ROOT, to))

  def run(command)
    system(command, chdir: ROOT, out: File::NULL, err: File::NULL) ||
      abort("The styles could not be built: `#{command}` failed. Run it by hand to see why.")
  end
end

if $PROGRAM_NAME == __FILE__
  Assets.vendor if ARGV.include?("--vendor")
  Assets.build
end
