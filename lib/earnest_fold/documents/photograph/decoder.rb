# frozen_string_literal: true

# Reads photographs from its standard input, each behind a line with its size, and writes of each its width, its height
# and the size of what follows, a line end, and a JPEG; noughts where it can't. Started by
# EarnestFold::Documents::Photograph, with so much time and memory and no more.
require "vips"

LONGEST_SIDE, QUALITY = 1600, 82
# A JPEG is decoded small; of a PNG every point is.
MOST_PIXELS = {"jpegload_buffer" => 120_000_000, "pngload_buffer" => 25_000_000}.freeze
# By these a JPEG can be decoded smaller.
SHRINKS = [8, 4, 2].freeze
# The parts of a JPEG that a picture needs: tables, the frame, intervals, a plain header. Everything else is a camera's.
NEEDED = [0xDB, 0xC0, 0xC4, 0xDD, 0xE0].freeze
HEADER, SCAN, ENDS = 18, 0xDA, "\xFF\xD9".b

# Nothing is in it but the picture: no camera's words, nothing hidden behind its end.
def bare?(bytes)
  at = 2
  while (marker = bytes.getbyte(at + 1)) != SCAN
    size = bytes[at + 2, 2].to_s.unpack1("n")
    return false unless bytes.getbyte(at) == 0xFF && NEEDED.include?(marker) && size
    return false if marker == 0xE0 && size + 2 != HEADER

    at += size + 2
  end
  # Within the picture these stand for themselves, or part it.
  bytes[at + 2..].index(/\xFF[^\x00\xD0-\xD7]/n) == bytes.bytesize - at - 4 && bytes.end_with?(ENDS)
end

def made(bytes)
  loader = bytes.start_with?("\xFF\xD8\xFF".b) ? "jpegload_buffer" : "pngload_buffer"
  whole, = Vips::Image.public_send(loader, bytes, access: :sequential, fail_on: :truncated)
  longest = [whole.width, whole.height].max
  return if whole.width * whole.height > MOST_PIXELS.fetch(loader)

  shrink = (loader == "jpegload_buffer") ? SHRINKS.find { |by| longest / by >= LONGEST_SIDE } : nil
  asked = {access: :sequential, fail_on: :truncated, **(shrink ? {shrink: shrink} : {})}
  image, = Vips::Image.public_send(loader, bytes, **asked)
  side = [image.width, image.height].max
  small = (side > LONGEST_SIDE) ? image.resize(LONGEST_SIDE / side.to_f) : image
  upright = small.copy_memory.autorot
  # One that is as it should be stays as it is: encoded anew again and again it would lose a little each time.
  return [upright, bytes] if longest <= LONGEST_SIDE && loader == "jpegload_buffer" && bare?(bytes)

  flat = upright.has_alpha? ? upright.flatten(background: [255, 255, 255]) : upright
  [flat, flat.colourspace(:srgb).jpegsave_buffer(Q: QUALITY, strip: true)]
rescue Vips::Error
  nil
end

$stdin.binmode
$stdout.binmode
while (size = $stdin.gets)
  picture, bytes = made($stdin.read(size.to_i).to_s)
  $stdout.write(picture ? "#{picture.width} #{picture.height} #{bytes.bytesize}\n" : "0 0 0\n", bytes.to_s)
end
