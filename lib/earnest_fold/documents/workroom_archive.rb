# frozen_string_literal: true

require "digest"
require "json"
require "rubygems/package"
require "stringio"

module EarnestFold
  module Documents
    # A whole workroom as one file: a tar of its rows as JSON, one a line and a file a table, of photographs and slips
    # as they are, of each job as the job format writes it, and of a manifest with the hash of each. Nothing of it needs
    # this application to be read; the rows and files bring all of it in again.
    class WorkroomArchive
      FORMAT, VERSION = "earnest-fold/workroom-archive", 1
      MANIFEST, HOUSE = "manifest.json", "house.json"
      ROWS = %r{\Arows/(?<table>[a-z_]{1,60})\.jsonl\z}
      BYTES = %r{\Afiles/(?<table>[a-z_]{1,60})-(?<id>\d{1,18})\.(?<column>[a-z_]{1,60})\z}
      DOCUMENT = %r{\Ajobs/\d{1,18}\.fold\.json\z}
      # What came in: the state of the tables that it fits, its rows as they go in, and the hashes that they must have.
      Unpacked = Reckoning::Value.define(:tables, :house, :rows, :bytes, :hashes)

      # @param rows [Object] all rows, as {Store::WholeWorkroom} gives them
      # @param documents [Hash{Integer => String}] jobs as the job format writes them, by their numbers
      # @return [Hash{String => String}] the files
      def self.files(rows, documents)
        {
          HOUSE => "#{rows.house}\n".b,
          **rows.tables.to_h { |name, lines| ["rows/#{name}.jsonl", lines.map { |line| "#{line}\n" }.join.b] },
          **rows.bytes.to_h { |(table, id, column), bytes| ["files/#{table}-#{id}.#{column}", bytes] },
          **documents.to_h { |id, text| ["jobs/#{id}.fold.json", text.b] }
        }
      end

      # @param files [Hash{String => String}]
      # @param tables [Integer] the state of the tables that the rows fit
      # @return [String] the file
      def self.pack(files, tables)
        told = {"format" => FORMAT, "version" => VERSION, "tables" => tables, "sha256" => hashes(files)}
        Tar.pack(MANIFEST => JSON.pretty_generate(told).b, **files)
      end

      # @return [Hash{String => String}] by file
      #
      #   Documents::WorkroomArchive.hashes({"a" => ""}).keys # => ["a"]
      def self.hashes(files) = files.transform_values { |bytes| Digest::SHA256.hexdigest(bytes) }

      # @param bytes [String]
      # @return [Unpacked]
      # @raise [Reckoning::Invalid] where it is none, or isn't whole
      def self.open(bytes)
        files = unpacked(bytes)
        manifest = JSON.parse(files.delete(MANIFEST).to_s)
        refuse unless manifest.is_a?(Hash) && manifest["format"] == FORMAT && manifest["version"] == VERSION
        refuse unless manifest["sha256"] == hashes(files) && files.key?(HOUSE)

        Unpacked.new(
          tables: manifest["tables"],
          house: text(files.fetch(HOUSE)).chomp,
          rows: parted(files, ROWS).to_h { |name, lines| [name[:table].to_sym, text(lines).lines(chomp: true)] },
          bytes: parted(files, BYTES).to_h { |name, own| [[name[:table].to_sym, name[:id].to_i, name[:column]], own] },
          hashes: manifest["sha256"]
        )
      rescue JSON::ParserError, Gem::Package::TarInvalidError, ArgumentError, EOFError
        refuse
      end

      # @api private
      def self.unpacked(bytes)
        Gem::Package::TarReader.new(StringIO.new(bytes)).to_h { |entry| [entry.full_name, entry.read.to_s] }
          .each_key { |name| known?(name) || refuse }
      end

      # @api private
      #
      #   Documents::WorkroomArchive.known?("../etc") # => false
      def self.known?(name) =
        [MANIFEST, HOUSE].include?(name) || [ROWS, BYTES, DOCUMENT].any? { |one| one.match?(name) }

      # @api private
      #
      #   Documents::WorkroomArchive.parted({"a/1.json" => "x"}, %r{a/(\d)}).size # => 1
      def self.parted(files, named) = files.filter_map { |name, bytes| (found = named.match(name)) && [found, bytes] }

      # @api private
      #
      #   Documents::WorkroomArchive.text("hem".b).encoding.to_s # => "UTF-8"
      def self.text(bytes)
        read = bytes.dup.force_encoding(Encoding::UTF_8)
        read.valid_encoding? ? read : refuse
      end

      # @api private
      def self.refuse = raise(Reckoning::Invalid, [Reckoning::Problem.new(at: "", code: :not_an_archive, data: {})])
    end
  end
end
