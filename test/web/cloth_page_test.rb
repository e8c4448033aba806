# frozen_string_literal: true

require "web_test_helper"
require "nokogiri"

# A cloth's page: off its roll, its nature, how it is sold, its pieces and where it is used.
class ClothPageTest < WebTest
  R = EarnestFold::Reckoning

  def test_it_shows_its_pieces_and_where_it_is_used
    get "/cloths/#{cloth("Reedbed linen union").id}"
    assert_equal 200, last_response.status
    assert_match(/On the shelf 43.37 m in 3 pieces/, text)
    assert_match(/Where it is used Residents' lounge River bay, Garden side light/, text)
    assert_equal 64, R::LengthReader.read(field("vertical_repeat"), R::Units::CM).mm / 10
  end

  def test_the_least_that_can_be_said_of_a_cloth
    get "/cloths/new"
    assert_equal "metre_tenths", chosen("order_step")
    send_form("/cloths", "name" => "Bare", "width" => "140")
    get "/cloths/#{cloth("Bare").id}"
    assert_equal 200, last_response.status
    assert_match(/None of it on the shelf\. .*No job at work takes it\./, text)
    assert_equal ["", ""], [field("mass"), field("price")]
  end

  def test_in_inches_it_is_sold_by_the_yard_and_weighed_in_ounces
    inches
    get "/cloths/new"
    assert_equal "yard_eighths", chosen("order_step")
    assert_match(/Price a yard.*|oz a square yard/, text)
    typed = {"name" => "Twill", "width" => "54", "mass" => "9.5", "price" => "28.80", "order_step" => "yard_eighths"}
    send_form("/cloths", **typed)
    kept = cloth("Twill").spec
    assert_equal ["322.10", "31.4961", "4 1/2 in"], kept.values_at("mass", "price", "order_step")
    get "/cloths/#{cloth("Twill").id}"
    assert_equal typed.values_at("mass", "price"), [field("mass"), field("price")]
    assert_equal "1053.22", EarnestFold::Words.money(reckoned("Twill").cost(R::Cloth::YARD * (36 + 57/100r)))
  end

  # Whatever was typed comes back as it was typed, and is never moved by looking at it.
  def test_what_is_typed_by_the_yard_stands_as_it_was_typed
    inches
    random = Random.new(7)
    40.times do |number|
      price, mass = [9_000, 400].map { |most| random.rand(1..most) }
      typed = {"price" => format("%.2f", price/100r), "mass" => format("%.1f", mass/10r)}
      send_form("/cloths", "name" => "No. #{number}", "width" => "54", "order_step" => "yard_quarters", **typed)
      made = cloth("No. #{number}")
      get "/cloths/#{made.id}"
      assert_equal typed, {"price" => field("price"), "mass" => field("mass")}
      send_form("/cloths/#{made.id}", "version" => made.version.to_s, "width" => "55", **typed)
      assert_equal made.spec.except("width"), cloth("No. #{number}").spec.except("width")
    end
  end

  def test_sold_otherwise_it_costs_the_same_and_is_ordered_otherwise
    cloth = cloth("Ferry cotton twill")
    send_form("/cloths/#{cloth.id}", "version" => cloth.version.to_s, "order_step" => "yard_halves")
    assert_equal({"order_step" => "18 in"}, cloth("Ferry cotton twill").spec.slice("order_step"))
    get "/cloths/#{cloth.id}"
    assert_equal "19.66", field("price")
    get "/jobs/#{job("Ticket office").id}"
    assert_match(/Ferry cotton twill face \d+( 1\/2)? yd/, text)
  end

  def test_a_step_of_no_name_stands_as_it_is
    cloth = cloth("Ferry cotton twill")
    spec = cloth.spec.merge("order_step" => "250 mm")
    workroom.cloths.update(cloth.id, spec, colour: "#ffffff", version: cloth.version)
    get "/cloths/#{cloth.id}"
    assert_equal "250 mm", chosen("order_step")
    assert_match(/in steps of 250 mm/, text)
  end

  def test_every_nature_is_drawn
    drawn = %w[creeps curls frays coated printed loose].to_h do |name|
      values = R::Cloth::FIELDS.read(plain.merge(name => true), R::Units::CM, R::Problems.new)
      made = R::Cloth.build(values, R::Problems.new)
      [name, EarnestFold::Drawings::ClothNature.new(made, colour: "#c9d2bd").to_s]
    end
    assert_equal 6, drawn.values.uniq.size
  end

  private

  def plain = {"id" => "a", "name" => "A", "use" => "face", "width" => 140}

  def inches = workroom.house.update(version: workroom.house.read.version, unit: "in")

  def cloth(name) = workroom.cloths.all.find { |record| record.spec["name"] == name }

  def reckoned(name) = EarnestFold::Work::Reader.cloth(cloth(name), R::Units::IN)

  def page = Nokogiri::HTML5(last_response.body)

  def field(name) = page.at_css("[name='#{name}']")["value"].to_s

  def chosen(name) = page.at_css("select[name='#{name}'] option[selected]")&.[]("value")
end
