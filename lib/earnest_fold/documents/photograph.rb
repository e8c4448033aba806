# frozen_string_literal: true

require "open3"
require "rbconfig"

module EarnestFold
  module Documents
    # A photograph in: a JPEG or PNG read and encoded anew as JPEG, upright, no larger than a screen needs, with
    # nothing of what the camera wrote into it (where, when, whose). It is decoded in a process of its own, which has so
    # much time and memory and no more.
    module Photograph
      # What isn't a photograph, or isn't whole.
      class NotOne < Error; end

      LARGEST = 12 * 1024 * 1024
      # How a file of each kind begins; nothing else is handed to the decoder.
      BEGINS = ["\xFF\xD8\xFF".b, "\x89PNG\r\n\x1A\n".b].freeze
      # Seconds of a processor, bytes of memory.
      BUDGET = {rlimit_cpu: 8, rlimit_as: 1_500 * 1024 * 1024}.freeze
      DECODER = File.expand_path("photograph/decoder.rb", __dir__)
      # What the decoder says of each first: its sides, and how many bytes follow; noughts where it can't.
      SIZE = /\A(\d+) (\d+) (\d+)\n/n
      # Seconds more for each of several.
      EACH = 1
      # @!attribute bytes [String] JPEG
      Encoded = Reckoning::Value.define(:bytes, :width, :height)

      module_function

      # @param bytes [String] the file
      # @return [Encoded]
      # @raise [NotOne]
      def encode(bytes) = encode_all([bytes]).first

      # @param files [Array<String>]
      # @return [Array<Encoded>] each, in one process
      # @raise [NotOne] where one of them isn't
      def encode_all(files)
        return [] if files.empty?

        raise NotOne, "too large" if files.any? { |bytes| bytes.bytesize > LARGEST }
        raise NotOne, "neither JPEG nor PNG" unless files.all? { |bytes| begun?(bytes.b) }

        said, status = decoded(files)
        raise NotOne, "can't be decoded" unless status.success?

        files.map { taken(said) }
      end

      # @api private
      #
      #   Documents::Photograph.begun?("GIF89a") # => false
      def begun?(bytes) = BEGINS.any? { |beginning| bytes.start_with?(beginning) }

      # @api private
      # @return [Encoded] the first of what is said; it is taken away
      def taken(said)
        width, height, size = said.slice!(SIZE).to_s.split.map(&:to_i)
        raise NotOne, "can't be decoded" unless size&.positive? && said.bytesize >= size

        Encoded.new(bytes: said.slice!(0, size), width: width, height: height)
      end

      # @api private
      def decoded(files)
        gems = File.join(EarnestFold.root, "Gemfile")
        environment = {"VIPS_CONCURRENCY" => "1", "VIPS_WARNING" => "0", "BUNDLE_GEMFILE" => gems}
        budget = BUDGET.merge(rlimit_cpu: BUDGET[:rlimit_cpu] + EACH * (files.size - 1))
        Open3.capture2(environment, RbConfig.ruby, "-rbundler/setup", DECODER, binmode: true, err: File::NULL,
          stdin_data: files.map { |bytes| "#{bytes.bytesize}\n".b + bytes.b }.join, **budget)
      end
    end
  end
end
