# frozen_string_literal: true

# Reads a photograph from its standard input and writes its width and height, a line end, and a JPEG; nothing, and 1,
# where it can't. Started by EarnestFold::Documents::Photograph, with so much time and memory and no more.
require "vips"

LONGEST_SIDE, QUALITY = 1600, 82
# A JPEG is decoded small; of a PNG every point is.
MOST_PIXELS = {"jpegload_buffer" => 120_000_000, "pngload_buffer" => 25_000_000}.freeze
# By these a JPEG can be decoded smaller.
SHRINKS = [8, 4, 2].freeze

bytes = $stdin.binmode.read
loader = bytes.start_with?("\xFF\xD8\xFF".b) ? "jpegload_buffer" : "pngload_buffer"

begin
  whole, = Vips::Image.public_send(loader, bytes, access: :sequential, fail_on: :truncated)
  longest = [whole.width, whole.height].max
  exit 1 if whole.width * whole.height > MOST_PIXELS.fetch(loader)

  shrink = (loader == "jpegload_buffer") ? SHRINKS.find { |by| longest / by >= LONGEST_SIDE } : nil
  asked = {access: :sequential, fail_on: :truncated, **(shrink ? {shrink: shrink} : {})}
  image, = Vips::Image.public_send(loader, bytes, **asked)
  side = [image.width, image.height].max
  small = (side > LONGEST_SIDE) ? image.resize(LONGEST_SIDE / side.to_f) : image
  upright = small.copy_memory.autorot
  flat = upright.has_alpha? ? upright.flatten(background: [255, 255, 255]) : upright
  made = flat.colourspace(:srgb).jpegsave_buffer(Q: QUALITY, strip: true)
rescue Vips::Error
  exit 1
end

$stdout.binmode.write("#{flat.width} #{flat.height}\n", made)
