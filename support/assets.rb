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
    VENDORED.each { |from, to| FileUtils.cp(File.join(ROOT, "node_modules", from), File.join(ROOT, "public", to)) }
  end

  def run(command)
    system(command, chdir: ROOT, out: File::NULL, err: File::NULL) ||
      abort("The styles could not be built: `#{command}` failed. Run it by hand to see why.")
  end
end

if $PROGRAM_NAME == __FILE__
  Assets.vendor if ARGV.include?("--vendor")
  Assets.build
end
