# frozen_string_literal: true

require "system_test_helper"

# A quote goes to a customer and comes back answered, on two devices.
class CustomersInTheBrowserTest < SystemTest
  def test_from_a_name_to_an_accepted_quote
    visit "/jobs"
    click_on "Ticket office"
    fill_in "Customer", with: "Wenna Tern"
    within("section", text: "For whom") { click_on "Keep it so" }
    click_on "Wenna Tern", match: :first
    fill_in "Telephone", with: "01555 0177"
    fill_in "Address", with: "3 Weir Cottages"
    within("section", text: "How they are reached") { click_on "Keep it so" }
    assert_field "Telephone", with: "01555 0177"
    within("section", text: "Made for them") { click_on "Ticket office" }
    click_on "Account", match: :first
    assert_field "For whom", with: "Wenna Tern\n3 Weir Cottages"
    click_on "Write quote", match: :first
    click_on "Link for the customer"
    link = find_field("Link for the customer").value
    answered_elsewhere(link)
    visit current_path
    assert_text(/accepted .* Wenna Tern/)
    visit "/today"
    assert_text(/Wenna Tern|accepted/i)
  end

  # What was typed stands there, with what is wanting at its field.
  def test_a_house_without_a_name_is_asked_for_it
    visit "/customers/#{workroom.customers.add(name: "Wenna Tern")}"
    find("summary", text: "One more house").click
    find_all("textarea[name=address]").last.set("Slipway 2")
    click_on "Keep the house"
    assert_text "Call the house something"
    assert_equal "Slipway 2", find_all("textarea[name=address]").last.value
    find("input[aria-invalid=true]").set("Loft")
    click_on "Keep the house"
    assert_selector "summary", text: "Loft Slipway 2"
  end

  private

  # As whoever has the link: signed in nowhere.
  def answered_elsewhere(link)
    Capybara.using_session(:customer) do
      Browser.opens(NOBODY)
      visit URI(link).request_uri
      assert_no_link "Jobs"
      click_on "Accept"
      assert_text "Write your name"
      fill_in "Your name", with: "Wenna Tern"
      click_on "Accept"
      assert_text(/Accepted on .*, Wenna Tern/)
      assert_no_button "Decline"
    end
  ensure
    Browser.opens(APP)
  end

  NOBODY = ->(env) { EarnestFold::Web::App.call(env.merge(SignedIn::KEY => nil)) }
end
