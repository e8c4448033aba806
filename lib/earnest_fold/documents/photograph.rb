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
      # What the decoder says first: the size of what follows.
      SIZE = /\A(\d+) (\d+)\n/n
      # @!attribute bytes [String] JPEG
      Encoded = Reckoning::Value.define(:bytes, :width, :height)

      module_function

      # @param bytes [String] the file
      # @return [Encoded]
      # @raise [NotOne]
      def encode(bytes)
        raise NotOne, "too large" if bytes.bytesize > LARGEST
        raise NotOne, "neither JPEG nor PNG" if BEGINS.none? { |beginning| bytes.b.start_with?(beginning) }

        said, status = decoded(bytes)
        width, height = SIZE.match(said)&.captures
        raise NotOne, "can't be decoded" unless status.success? && width

        Encoded.new(bytes: said.sub(SIZE, ""), width: width.to_i, height: height.to_i)
      end

      # @api private
      def decoded(bytes)
        gems = File.join(EarnestFold.root, "Gemfile")
        environment = {"VIPS_CONCURRENCY" => "1", "VIPS_WARNING" => "0", "BUNDLE_GEMFILE" => gems}
        Open3.capture2(environment, RbConfig.ruby, "-rbundler/setup", DECODER, stdin_data: bytes.b, binmode: true,
          err: File::NULL, **BUDGET)
      end
    end
  end
end
