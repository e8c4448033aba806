# frozen_string_literal: true

require "system_test_helper"

# In the hand: at the widths of phones and tablets no page is wider than the glass, no words are cut off or lie over
# others, in drawings neither, and whatever is touched is as large as a thumb.
class PhonesTest < SystemTest
  STATIONS = %w[measure heading cloth compare cutting making bench hanging].freeze
  PLACES = %w[
    /today /jobs /jobs/archive /reckon /cloths /cloths/new /tapes /tapes/new /shelf /shelf/new /diary /books /logbook
    /house-rules /house-rules/books /house-rules/schools /find /find?q=e /people /you /keys /measure-sheet /errands
    /nowhere
  ].freeze
  OF_WORK = %w[ticket changes log place].freeze
  RECKONED = "/reckon?support.length=248&drop.readings.left=229&cloth.width=138&cloth.vertical_repeat=64&unit=cm"
  # What is touched, and is no word within a sentence.
  MEASURED = <<~'JS'
    (function (width) {
      var wrong = [];
      var page = document.documentElement;
      if (page.scrollWidth > width) {
        var wide = Array.from(document.querySelectorAll("body *")).filter(function (one) {
          return one.getBoundingClientRect().right > width + 1 && !one.closest("[data-scrolls]");
        }).slice(-2).map(name);
        wrong.push("wider than the glass: " + page.scrollWidth + " " + wide.join(" "));
      }
      function name(one) {
        var css = typeof one.className === "string" ? one.className : "";
        return "<" + one.tagName.toLowerCase() + (one.id ? "#" + one.id : "") + " " + css + " " +
          (one.textContent || "").trim().slice(0, 24) + ">";
      }
      function shown(one) {
        var box = one.getBoundingClientRect();
        var seen = one.checkVisibility({ visibilityProperty: true, opacityProperty: true });
        return seen && box.width > 1 && box.height > 1;
      }
      function inSentence(one) {
        if (getComputedStyle(one).display !== "inline") return false;
        var around = one.parentElement.textContent.trim().length, own = one.textContent.trim().length;
        return around > own + 2;
      }
      Array.from(document.querySelectorAll("a, button, input, select, textarea, summary")).forEach(function (one) {
        if (!shown(one) || one.type === "hidden" || one.closest("svg")) return;
        var touched = (one.matches("[type=checkbox], [type=radio]") && one.closest("label")) || one;
        var box = touched.getBoundingClientRect();
        if (box.height < 43.5 && !inSentence(one)) wrong.push("small " + Math.round(box.height) + " " + name(one));
      });
      Array.from(document.querySelectorAll("main *, header *")).forEach(function (one) {
        var style = getComputedStyle(one);
        if (!shown(one) || style.overflowX !== "hidden" && style.textOverflow !== "ellipsis") return;
        if (one.closest("svg, .sr, .skip")) return;
        if (one.scrollWidth > one.clientWidth + 1) wrong.push("cut off " + name(one));
      });
      Array.from(document.querySelectorAll(".fraction")).forEach(function (one) {
        if (one.closest("svg") || !shown(one)) return;
        var size = parseFloat(getComputedStyle(one).fontSize);
        var beside = parseFloat(getComputedStyle(one.parentElement).fontSize);
        if (size < beside) wrong.push("a fraction smaller than its figure " + name(one.parentElement));
        var whole = document.createRange();
        whole.selectNodeContents(one.parentElement);
        if (whole.getBoundingClientRect().height > 1.9 * beside) wrong.push("apart " + name(one.parentElement));
      });
      var texts = [], walker = document.createTreeWalker(document.querySelector("main"), NodeFilter.SHOW_TEXT);
      while (walker.nextNode()) {
        if (walker.currentNode.data.trim() && shown(walker.currentNode.parentElement)) texts.push(walker.currentNode);
      }
      var words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT), word, found, range, lines;
      while (words.nextNode()) {
        word = /[^\s\u2011-\u2015\/-]+/g;
        while (shown(words.currentNode.parentElement) && (found = word.exec(words.currentNode.data))) {
          if (!/^[\p{L}\d.,]{2,20}$/u.test(found[0])) continue;
          range = document.createRange();
          range.setStart(words.currentNode, found.index);
          range.setEnd(words.currentNode, found.index + found[0].length);
          lines = Array.from(range.getClientRects());
          if (lines.some(function (line) { return line.top > lines[0].top + lines[0].height / 2; })) {
            wrong.push("broken: " + found[0] + " in " + name(words.currentNode.parentElement));
          }
        }
      }
      Array.from(document.querySelectorAll("main :is(.onward, .act, .huge-act)")).forEach(function (one) {
        if (!shown(one) || getComputedStyle(one).position === "sticky") return;
        var box = one.getBoundingClientRect(), covered = texts.find(function (text) {
          if (one.contains(text) || text.parentElement.closest("svg, .sr")) return false;
          var words = document.createRange();
          words.selectNodeContents(text);
          return Array.from(words.getClientRects()).some(function (line) {
            return Math.min(line.right, box.right) - Math.max(line.left, box.left) > 2 &&
              Math.min(line.bottom, box.bottom) - Math.max(line.top, box.top) > 4;
          });
        });
        if (covered) wrong.push("covered by " + name(one) + ": " + covered.data.trim().slice(0, 24));
      });
      Array.from(document.querySelectorAll("svg.drawing")).forEach(function (svg) {
        var around = svg.getBoundingClientRect();
        var told = Array.from(svg.querySelectorAll("text:not(.plus)")).filter(function (one) {
          return one.textContent.trim() && shown(one);
        }).map(function (one) { return [one.textContent.trim(), one.getBoundingClientRect()]; });
        told.forEach(function (one, index) {
          var box = one[1];
          if (box.top < around.top - 3 || box.bottom > around.bottom + 3 || box.left < around.left - 2 ||
            box.right > around.right + 2) wrong.push("cut off in " + name(svg) + ": " + one[0]);
          told.slice(index + 1).forEach(function (other) {
            var over = Math.min(box.right, other[1].right) - Math.max(box.left, other[1].left);
            var deep = Math.min(box.bottom, other[1].bottom) - Math.max(box.top, other[1].top);
            if (over > 1.5 && deep > 0.35 * Math.min(box.height, other[1].height)) {
              wrong.push("one over the other in " + name(svg) + ": " + one[0] + ", " + other[0]);
            }
          });
        });
      });
      return wrong;
    })
  JS

  # What is chosen is read whole: a choice has room for its arrow besides.
  CHOSEN = <<~JS
    (function () {
      var pen = document.createElement("canvas").getContext("2d");
      return Array.from(document.querySelectorAll("select")).filter(function (one) {
        var style = getComputedStyle(one), arrow = style.appearance === "none" ? 0 : 18;
        var seen = one.checkVisibility({ visibilityProperty: true, opacityProperty: true });
        if (!seen || one.clientWidth < 5) return false;
        pen.font = [style.fontWeight, style.fontSize, style.fontFamily].join(" ");
        var room = one.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight) - arrow;
        return Array.from(one.selectedOptions).some(function (chosen) {
          return pen.measureText(chosen.text.trim()).width > room + 1;
        });
      }).map(function (one) { return "cut off: " + one.name + ", " + one.selectedOptions[0].text.trim(); });
    })()
  JS

  # The narrowest is a page made four times as large; WCAG 2.2 AA, as far as a program can tell, at a desk.
  def test_every_page_fits_and_nothing_is_found_against_it
    wrong = Walks.some(everything, 16).flat_map do |path|
      Browser.size(page, 390, 844)
      visit path
      narrow = [390, 320, 768].flat_map { |width| too_narrow(width) + ((width < 390) ? [] : chosen(width)) }
      Browser.size(page, 1280, 800)
      (narrow + chosen(1280) + findings).map { |what| "#{path} #{what}" }
    end
    assert_empty wrong
  end

  def test_every_station_fits_in_inches
    Browser.size(page, 320, 844)
    ["Residents' lounge", "Ferry chapel"].each do |title|
      workroom.jobs.set_unit(workroom.jobs.list.find { |line| line.title == title }.id, "in")
    end
    wrong = Walks.some(pages + [RECKONED.sub("unit=cm", "unit=in&was_unit=cm")], 8).flat_map do |path|
      visit path
      page.evaluate_script("#{MEASURED}(320)").map { |what| "#{path} #{what}" }
    end
    assert_empty wrong
  end

  # On a phone as at a desk: the field and its words are red.
  def test_what_is_refused_is_marked
    visit pages.grep(%r{/place\z}).first
    red = [390, 1280].map do |width|
      Browser.size(page, width, 844)
      fill_in "Room", with: ""
      fill_in "Window", with: ""
      click_on "Keep it so"
      assert_text "Give the room"
      assert_selector "[name=room][aria-invalid]"
      evaluate_script(<<~JS)
        [["[name=room]", "borderBottomColor"], [".problem", "color"]].map(function (one) {
          return getComputedStyle(document.querySelector(one[0]))[one[1]];
        })
      JS
    end
    assert_equal [["rgb(160, 47, 37)"] * 2] * 2, red
  end

  # What people name may be one word, as long as it can be.
  def test_the_longest_names_fit
    called = workroom.rows(:people).select_hash(:id, :name)
    Browser.size(page, 320, 844)
    paths = Walks.some(everything, 16)
    name_at_length
    wrong = paths.flat_map do |path|
      visit path
      page.evaluate_script("#{MEASURED}(320)").map { |what| "#{path} #{what}" }
    end
    assert_empty wrong
  ensure
    called.each { |id, name| workroom.rows(:people).where(id: id).update(name: name) }
  end

  private

  LONG = "Ferrymastersquartersandnetstoreroomsbehindthelongboathouseatthereach"
  NAMES = {
    jobs: {title: 60}, windows: {room: 60, name: 60}, customers: {name: 80}, customer_houses: {name: 60},
    people: {name: 40}, pieces: {label: 40}
  }.freeze
  private_constant :LONG, :NAMES

  # Each its own.
  def name_at_length
    NAMES.each do |table, names|
      rows = workroom.rows(table)
      rows.select_map(:id).each do |id|
        rows.where(id: id).update(names.transform_values { |most| "#{id}#{LONG}"[0, most] })
      end
    end
    workroom.cloths.all.each do |cloth|
      spec = cloth.spec.merge("name" => "#{cloth.id}#{LONG}"[0, 60])
      workroom.cloths.update(cloth.id, spec, colour: cloth.colour, version: cloth.version)
    end
  end

  def too_narrow(width)
    Browser.size(page, width, 844)
    page.evaluate_script("#{MEASURED}(#{width})").map { |what| "#{width} #{what}" }
  end

  def chosen(width) = page.evaluate_script(CHOSEN).map { |what| "#{width} #{what}" }

  def everything = pages + PLACES + rooms + customers + [RECKONED, bought]

  # Cloth that was ordered, and came in two batches with flaws.
  def bought
    job = workroom.jobs.find(workroom.jobs.list.find { |line| line.title == "Ticket office" }.id)
    cloth = Integer(job.treatments.first.spec["face"], 10)
    flawed = {"length" => "4700 mm", "width" => "1360 mm", "flaws" => [{"from" => "1 m", "to" => "1060 mm"}]}
    pieces = [{"piece" => "SM-101/1", "batch" => "A01", **flawed}, {"piece" => "SM-101/2", "batch" => "D4", **flawed}]
    workroom.supply.keep(nil, "cloths" => [
      {"code" => "SM-101", "name" => "Ferry cotton twill", "width" => "140 cm", "price" => "21.50"}
    ])
    workroom.supply.name_code(cloth, "SM-101")
    workroom.supply.keep("SM-101", "code" => "SM-101", "pieces" => [
      {"piece" => "SM-101/1", "batch" => "A01", "length" => "42 m"},
      {"piece" => "SM-101/2", "batch" => "B01", "length" => "1 m"}
    ])
    order = workroom.orders.place(job.id, cloth,
      "code" => "SM-101", "for" => "", "batch" => "A01", "lengths" => ["9400 mm"], "price" => "21.50")
    workroom.orders.sent(order)
    workroom.orders.told(order, "order" => workroom.orders.find(order).number, "state" => "delivered",
      "deliveries" => [{"note" => "D-1", "pieces" => pieces}])
    "/jobs/#{job.id}/buying/#{cloth}"
  end

  # Somebody of whom all is said, who may be there twice, and what they see of their quote.
  def customers
    tern = workroom.customers.add(name: "Wenna Tern", phone: "01555 0177", notes: "Ring first")
    workroom.customers.add(name: "wenna tern", mail: "wenna@tern.example")
    workroom.customers.add_house(tern, name: "Sail loft", address: "Slipway 2\nSallow Reach")
    job = workroom.jobs.list.find { |line| line.title == "Ticket office" }
    workroom.jobs.set_customer(job.id, tern)
    account = EarnestFold::Work::Account.new(EarnestFold::Work::Workroom.new(workroom).job(job.id))
    quote = workroom.bills.write(job.id, "quote", EarnestFold::Documents::BillContent.of(account, "Wenna Tern"))
    key = workroom.customer_links.make(paper: quote.id)
    letter = workroom.letters.draft(job.id, sort: "quote", house: "", paper: quote.id, subject: "Your quote")
    ["/customers", "/customers/#{tern}", "/for/#{key}", "/outside", "/jobs/#{job.id}", "/jobs/#{job.id}/account",
      "/jobs/#{job.id}/letters/#{letter}"]
  end

  # A cloth, a piece, a set.
  def rooms
    cloth = workroom.cloths.all.find { |one| one.spec["name"] == "Reedbed linen union" }
    piece = workroom.shelf.all(cloths: [cloth.id]).first
    cut_into = workroom.shelf.all.find { |one| one.label == "J1" }
    ["/cloths/#{cloth.id}", "/shelf/#{piece.id}", "/shelf/#{cut_into.id}",
      "/house-rules/sets/#{workroom.house.read.sets.first.id}"]
  end

  def pages
    job = workroom.jobs.list.find { |line| line.title == "Residents' lounge" }
    record = workroom.jobs.find(job.id).treatments.first
    altered = workroom.jobs.list.map { |line| workroom.jobs.find(line.id) }
      .flat_map { |one| one.treatments.select { |work| work.sort == "altered" }.map { |work| [one.id, work.id] } }.first
    (STATIONS + OF_WORK).map { |name| "/jobs/#{job.id}/treatments/#{record.id}/#{name}" } +
      ["/jobs/#{job.id}", "/jobs/#{job.id}/account", "/jobs/#{job.id}/read-back",
        "/jobs/#{job.id}/treatments/#{record.id}/cloth?part=room",
        "/jobs/#{job.id}/table/#{record.spec["face"]}"] +
      %w[measure alter making hanging came-in log place]
        .map { |name| "/jobs/#{altered[0]}/treatments/#{altered[1]}/#{name}" }
  end
end
