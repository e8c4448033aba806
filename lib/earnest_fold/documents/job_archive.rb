# frozen_string_literal: true

require "digest"
require "json"
require "rubygems/package"
require "stringio"

module EarnestFold
  module Documents
    # A job whole, as one file: a tar of its document, of the rest as JSON ({Work::JobRest}), of its photographs, and of
    # a manifest with the hash of each. Nothing of it needs this application to be read.
    class JobArchive
      FORMAT, VERSION = "earnest-fold/job-archive", 1
      LARGEST = 24 * 1024 * 1024
      MANIFEST, DOCUMENT, REST = "manifest.json", "job.fold.json", "rest.json"
      PICTURE = %r{\Aphotographs/[\w-]{1,60}\.jpg\z}
      MOST_FILES = 64
      MAGIC, MAGIC_AT = "ustar", 257
      # One that came in: the document's text, the rest as it was read, and the photographs by file.
      Opened = Reckoning::Value.define(:document, :rest, :images)

      # @param bytes [String]
      # @return [Boolean] whether it looks like one
      #
      #   Documents::JobArchive.one?("{}") # => false
      def self.one?(bytes) = bytes.byteslice(MAGIC_AT, MAGIC.size) == MAGIC

      # @param document [String]
      # @param rest [Hash] plain values
      # @param images [Hash{String => String}] JPEG by file
      # @return [String] the file
      #
      #   Documents::JobArchive.one?(Documents::JobArchive.pack("{}", {}, {})) # => true
      def self.pack(document, rest, images)
        files = {DOCUMENT => document.b, REST => JSON.pretty_generate(rest).b, **images.transform_values(&:b)}
        hashes = files.transform_values { |bytes| Digest::SHA256.hexdigest(bytes) }
        manifest = JSON.pretty_generate("format" => FORMAT, "version" => VERSION, "sha256" => hashes).b
        Tar.pack(MANIFEST => manifest, **files)
      end

      # @param bytes [String]
      # @return [Opened]
      # @raise [Reckoning::Invalid] where it is none, isn't whole, or its rest can't be read
      #
      #   Documents::JobArchive.open(Documents::JobArchive.pack("{}", {}, {})).document # => "{}"
      def self.open(bytes)
        files = unpacked(bytes)
        hashes = checked(files)
        refuse unless hashes.all? { |name, hash| files[name] && Digest::SHA256.hexdigest(files[name]) == hash }

        rest = Work::JobRest.read(JobFormat.parse(files.fetch(REST)))
        Opened.new(document: files.fetch(DOCUMENT), rest: rest, images: images(files, rest))
      rescue KeyError, JSON::ParserError, Gem::Package::TarInvalidError, ArgumentError, EOFError
        refuse
      end

      # @api private
      def self.unpacked(bytes)
        refuse if bytes.bytesize > LARGEST
        files = {}
        Gem::Package::TarReader.new(StringIO.new(bytes)) do |tar|
          tar.each do |entry|
            name = entry.full_name
            refuse if files.size >= MOST_FILES || entry.header.size > LARGEST
            files[name] = entry.read.to_s if [MANIFEST, DOCUMENT, REST].include?(name) || PICTURE.match?(name)
          end
        end
        files
      end

      # @api private
      def self.checked(files)
        manifest = JSON.parse(files.fetch(MANIFEST))
        known = manifest.is_a?(Hash) && manifest["format"] == FORMAT && manifest["version"] == VERSION
        hashes = known ? manifest["sha256"] : nil
        (hashes.is_a?(Hash) && [DOCUMENT, REST].all? { |name| hashes.key?(name) }) ? hashes : refuse
      end

      # Each decoded anew, as every photograph that comes in.
      # @api private
      def self.images(files, rest)
        wanted = rest[:works].flat_map { |work| work[:photographs] }.map { |one| one[:file] }.uniq
        refuse if wanted.size > Work::JobRest::MOST_PHOTOGRAPHS
        encoded = Photograph.encode_all(wanted.map { |name| files.fetch(name) })
        wanted.zip(encoded).to_h { |name, made| [name, [made.bytes, made.width, made.height]] }
      rescue Photograph::NotOne
        refuse
      end

      # @api private
      def self.refuse = raise(Reckoning::Invalid, [Reckoning::Problem.new(at: "", code: :not_an_archive, data: {})])
    end
  end
end
