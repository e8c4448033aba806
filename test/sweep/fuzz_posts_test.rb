# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# Walks the house as somebody would who types anything into any form: each form is one that a page shows, with its own
# fields, some left as they are, some odd. Nothing may be a fault of ours, nothing takes long, and what is refused comes
# back as it was typed. `bin/test sweep` sends 20,000.
class FuzzPostsTest < WebTest
  WHOLE = ENV["SWEEP"] == "whole"
  SHARE, SHARES = ENV.fetch("SWEEP_SHARE", "0/1").split("/").map { |number| Integer(number, 10) }
  SOME = Walks::WHOLE ? 250 : 80
  POSTS = WHOLE ? 20_000 / SHARES : SOME
  # Seconds; held against in the sweep alone, where nothing else runs.
  LONGEST = 2
  # So many are sent to one house.
  A_HOUSE = 400
  FAULTS = (500..599)
  REFUSED = [409, 422].freeze
  # Where something can be typed.
  TYPED = "textarea, input:not([type]), input[type=text], input[type=email], input[type=tel], input[type=number]"
  # What no page sends twice.
  KEPT = %w[authenticity_token once].freeze
  PLAUSIBLE = ["", "0", "1", "-1", "12", "236.5", "7' 9½\"", "93 1/2", "2,36 m", "1e9", "on", "yes", "no", "cm", "in",
    "2026-12-01", "2026-02-30", "24:00", "left", "right", "pair", "plain", "Linen", "1/3", "0.001", "99999"].freeze
  ODD = ["a\u0000b", "\xED\xA0\x80", "9" * 4000, "1e400000000", "\u{1F600}" * 70, "<b>&\"'</b>", "=1+1", "../..",
    "%s%n", "' OR 1=1 --", "\u202E", " ", "\r\n", ["a", "b"], {"x" => {"y" => "z"}}].freeze

  # Each part in a house of its own, put back afterwards.
  (POSTS.to_r / A_HOUSE).ceil.times do |part|
    define_method(:"test_whatever_is_typed_into_whatever_form_#{part}") do
      @random = Random.new((Integer(ENV.fetch("FUZZ_SEED", Walks::SEED.to_s), 10) + SHARE) * 1000 + part)
      typed([POSTS, A_HOUSE].min)
    end
  end

  def typed(posts)
    @pages, statuses, @faults = PAGES_FIRST.dup, Hash.new(0), []
    posts.times do
      path, fields = a_form
      next unless path

      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      post(path, fields)
      took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
      statuses[last_response.status] += 1
      told(path, fields) if FAULTS.include?(last_response.status) || (WHOLE && took > LONGEST)
      @faults.concat(lost(path, fields)) if REFUSED.include?(last_response.status)
      learn(last_response["Location"])
    end
    assert_empty @faults
    assert_operator statuses[303] + statuses[422], :>, posts / 5, statuses.inspect
  end

  private

  PAGES_FIRST = %w[/today /jobs /reckon /cloths /cloths/new /tapes /tapes/new /shelf /shelf/new /diary /books /logbook
    /house-rules /house-rules/books /house-rules/schools /people].freeze

  # @return [Array(String, Hash), nil] one of a page's forms, filled in
  def a_form
    6.times do
      page = @pages.sample(random: @random)
      get page
      told(page, nil) if FAULTS.include?(last_response.status)
      next @pages.delete(page) unless last_response.media_type == "text/html" && last_response.status == 200

      document = Nokogiri::HTML(last_response.body)
      document.css("a[href^='/']").map { |link| link["href"] }.sample(4, random: @random).each { |at| learn(at) }
      form = document.css("form[method=post]").to_a.sample(random: @random)
      next unless form

      # A station's fields are sent one by one, as they are left.
      @typed = form["data-edits"] ? [] : form.css(TYPED).map { |field| field["name"] }
      @hidden = form.css("input[type=hidden]").to_h { |field| [field["name"], field["value"].to_s] }
      return [form["action"] || page, filled(form)]
    end
    nil
  end

  def told(path, fields)
    error = last_request.env["sinatra.error"]
    @faults << [path, last_response.status, error&.class, error&.backtrace&.first(2), fields&.except(*KEPT)]
  end

  # @return [Array<Array>] what was typed and stands at none of the fields that are called so, nor beside what somebody
  #   else left; nothing where the page's own was tampered with
  def lost(path, fields)
    return [] unless fields.slice(*@hidden.keys) == @hidden

    page = Nokogiri::HTML5(last_response.body)
    fields.slice(*@typed).filter_map do |name, value|
      next unless PLAUSIBLE.include?(value) && !value.empty?

      there = page.css(TYPED).select { |field| field["name"] == name }
      next if there.empty? || page.css(".both [name='#{name}']").any? { |field| field["value"] == value }

      [path, "lost", name, value] if there.none? { |field| as_it_is(field).strip == value }
    end
  end

  def learn(address)
    path = address.to_s.sub(%r{\Ahttps?://[^/]+}, "").sub(/#.*/, "")
    @pages << path if path.start_with?("/") && !path.match?(/\.\w+(\?|\z)/) && @pages.size < 400
  end

  def filled(form)
    fields = form.css("input[name], select[name], textarea[name], button[name]").to_h do |field|
      [field["name"], as_it_is(field)]
    end
    kept, left = @random.rand(3), (@random.rand(2) == 1) ? KEPT + @hidden.keys : KEPT
    fields.to_h { |name, value| [name, (left.include?(name) || @random.rand(3) < kept) ? value : anything] }
  end

  def as_it_is(field)
    return (field.at_css("option[selected]") || field.at_css("option"))&.[]("value").to_s if field.name == "select"

    (field.name == "textarea") ? field.text : field["value"].to_s
  end

  def anything = ((@random.rand(5) < 3) ? PLAUSIBLE : ODD).sample(random: @random)
end
