# frozen_string_literal: true

require "vips"

module EarnestFold
  module Documents
    # A photograph in: a JPEG or PNG read and encoded anew as JPEG, upright, no larger than a screen needs, with
    # nothing of what the camera wrote into it (where, when, whose).
    module Photograph
      # What isn't a photograph, or isn't whole.
      class NotOne < Error; end

      LARGEST = 12 * 1024 * 1024
      MOST_PIXELS = 80_000_000
      LONGEST_SIDE = 1600
      QUALITY = 82
      # How a file of each kind begins; nothing else is handed to the decoder.
      BEGINS = {"\xFF\xD8\xFF".b => :jpegload_buffer, "\x89PNG\r\n\x1A\n".b => :pngload_buffer}.freeze
      # @!attribute bytes [String] JPEG
      Encoded = Reckoning::Value.define(:bytes, :width, :height)

      module_function

      # @param bytes [String] the file
      # @return [Encoded]
      # @raise [NotOne]
      def encode(bytes)
        image = small(opened(bytes.b))
        flat = image.has_alpha? ? image.flatten(background: [255, 255, 255]) : image
        Encoded.new(
          bytes: flat.colourspace(:srgb).jpegsave_buffer(Q: QUALITY, strip: true),
          width: flat.width,
          height: flat.height
        )
      rescue Vips::Error
        raise NotOne, "can't be decoded"
      end

      def opened(bytes)
        raise NotOne, "too large" if bytes.bytesize > LARGEST

        loader = BEGINS.find { |beginning, _| bytes.start_with?(beginning) }&.last or
          raise NotOne, "neither JPEG nor PNG"
        image, = Vips::Image.public_send(loader, bytes, fail_on: :truncated)
        raise NotOne, "too many pixels" if image.width * image.height > MOST_PIXELS

        image
      end

      # Upright, and no longer than LONGEST_SIDE.
      def small(image)
        upright = image.autorot
        longest = [upright.width, upright.height].max
        (longest > LONGEST_SIDE) ? upright.resize(LONGEST_SIDE / longest.to_f) : upright
      end
    end
  end
end
