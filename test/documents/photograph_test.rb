# frozen_string_literal: true

require "test_helper"
require "vips"

# A photograph is read and encoded anew: upright, no larger than it need be, with nothing the camera wrote into it;
# what isn't one is refused.
class PhotographTest < EarnestFoldTest
  extend Walks.tests(1/2r)

  P = EarnestFold::Documents::Photograph

  def test_a_large_one_becomes_small_and_forgets_where_it_was_taken
    taken =
      Vips::Image
        .black(2400, 1200, bands: 3)
        .copy(interpretation: :srgb)
        .mutate { |image| image.set_type!(GObject::GSTR_TYPE, "exif-ifd3-GPSLatitude", "52/1 10/1 0/1") }
        .jpegsave_buffer
    made = P.encode(taken)
    assert_equal [1600, 800], [made.width, made.height]
    again = Vips::Image.new_from_buffer(made.bytes, "")
    assert_empty again.get_fields.grep(/exif|gps|xmp|iptc/i)
    assert_equal "jpegload_buffer", again.get("vips-loader")
  end

  # Taken with the camera on its side: the tag that says so goes, so the picture is turned.
  def test_it_stands_upright
    lying =
      Vips::Image
        .black(300, 200, bands: 3)
        .copy(interpretation: :srgb)
        .mutate { |image| image.set_type!(GObject::GINT_TYPE, "orientation", 6) }
        .jpegsave_buffer
    assert_equal [200, 300], P.encode(lying).then { |made| [made.width, made.height] }
  end

  def test_a_png_with_clear_places_comes_out_on_white
    clear = Vips::Image.black(20, 10, bands: 4).copy(interpretation: :srgb).pngsave_buffer
    assert_equal [255.0],
      Vips::Image.new_from_buffer(P.encode(clear).bytes, "").avg.then { |mean| [mean.round(0).to_f] }
  end

  # What is small as a file can be huge as a picture: it has so much time and memory, and no more.
  def test_huge_ones_are_decoded_small_or_refused
    huge = Vips::Image.black(9000, 6000, bands: 3).copy(interpretation: :srgb)
    assert_equal [1600, 1067], P.encode(huge.jpegsave_buffer).then { |made| [made.width, made.height] }
    assert_raises(P::NotOne) { P.encode(huge.pngsave_buffer) }
    larger = Vips::Image.black(16_000, 9000, bands: 3).copy(interpretation: :srgb)
    assert_raises(P::NotOne) { P.encode(larger.jpegsave_buffer) }
  end

  # However often it goes out and comes in, it loses nothing; what hides in it or behind it doesn't stay.
  def test_one_that_is_as_it_should_be_stays_as_it_is
    noise = Vips::Image.gaussnoise(320, 240).cast(:uchar)
    once = P.encode(noise.bandjoin([noise, noise]).copy(interpretation: :srgb).pngsave_buffer).bytes
    assert_equal once, P.encode(once).bytes
    hidden = [once + "more behind it", once.sub("\xFF\xDB".b, "\xFF\xFE\x00\x06home\xFF\xDB".b),
      once.sub("\xFF\xDB".b, "\xFF\xE1\x00\x06home\xFF\xDB".b), once[0..-3] + "\xFF\xFE\x00\x06home\xFF\xD9".b]
    hidden.each do |one|
      made = P.encode(one).bytes
      refute_match(/more behind|home/, made)
      assert_equal [320, 240], Vips::Image.new_from_buffer(made, "").then { |image| [image.width, image.height] }
    end
  end

  def test_many_in_one_go_each_by_itself
    files = Array.new(30) { |index| Vips::Image.black(40 + index, 30).jpegsave_buffer }
    assert_equal (40..69).to_a, P.encode_all(files).map(&:width)
    assert_equal [], P.encode_all([])
    assert_raises(P::NotOne) { P.encode_all([files.first, files.last[0, 200]]) }
  end

  def test_what_is_no_photograph_is_refused
    whole = Vips::Image.black(200, 200, bands: 3).copy(interpretation: :srgb).jpegsave_buffer
    [
      "",
      "a letter",
      "GIF89a",
      "<svg/>",
      whole[0, whole.size / 2],
      "\xFF\xD8\xFF".b + "nothing more",
      "\x89PNG\r\n\x1A\n".b
    ].each do |bytes|
      assert_raises(P::NotOne, bytes[0, 8].inspect) { P.encode(bytes) }
    end
    assert_raises(P::NotOne) { P.encode("\xFF\xD8\xFF".b + "x" * P::LARGEST) }
  end
end
