# frozen_string_literal: true

require "web_test_helper"

# What the house answers to one field of a page's journal: what may look otherwise by now, and no more.
class EditAnswersTest < WebTest
  FOLDS = {
    "measure" => ["return_left", "12", "fold-beyond", "support.projection"],
    "heading" => ["heading.top_turn", "7", "fold-tiebacks", "tieback.girth"],
    "cloth" => ["making.hem.depth", "11", "fold-making", "making.seam"]
  }.freeze

  def test_what_is_folded_stands_until_a_field_of_it_is_edited
    FOLDS.each do |place, (path, text, fold, inside)|
      edit(place, path, text)

      assert_includes answer, %(id="#{fold}" data-same), place
      edit(place, inside, "9")

      assert_match(/<details class="running fold" id="#{fold}"/, answer)
      assert_match(/id="#{path.tr(".", "-")}" data-same|id="field-#{path.tr(".", "-")}" data-same/, answer)
      assert_match(/name="#{inside}" value="9"/, answer)
      refute_includes answer[/id="#{fold}".*?<\/details>/m], "data-same"
    end
  end

  private

  def answer = last_response.body

  def edit(place, path, text)
    get station(office, place)
    assert_match(/name="#{path}" value=/, answer)
    saw = {path => CGI.unescapeHTML(answer[/name="#{path}" value="([^"]*)"/, 1])}
    save(office, place, :headers => {"HX-Request" => "true", "X-Journal" => "1"}, path => text, "saw" => saw)

    assert_equal 200, last_response.status
  end
end
