# frozen_string_literal: true

# A second way to reckon small documents: slow, plain, on bare numbers in millimetres, written from the rules and not
# from the core. Where it stops at something, it steps and tries instead of dividing.
class PlainReckoner
  PI = Rational("3.14159265358979")

  def initialize(document)
    @cloths = document["cloths"].to_h { |cloth| [cloth["id"], cloth] }
    @treatments = document["windows"].flat_map { |window| window["treatments"] }
  end

  def results = @treatments.to_h { |treatment| [treatment["id"], treatment(treatment)] }

  private

  def r(value) = Rational(value.to_s)

  def treatment(t)
    face = @cloths[t["face"]]
    spans = spans(t)
    drop = t["drop"]["readings"].map { |reading| r(reading) }.min + r(t["drop"]["stand_up"]) + r(t["drop"]["offset"])
    curtains = spans.map { |span| curtain(t, face, span) }
    keep = (t["run"] == "railroad") ? 1 : 1 - r(face["shrink_percent"]) / 100
    cut = (drop + top(t) + taken(t["making"]["hem"]) + r(t["making"]["squaring"])) / keep
    {"finished_drop" => drop, "cut_drop" => cut, "curtains" => curtains, "widths_total" => total(t, face, curtains),
     "lining_widths" => t["lining"] && linings(t, curtains)}
  end

  def taken(allowance)
    {
      "double" => r(allowance["depth"]) * 2,
      "single" => r(allowance["depth"]) + r(allowance["turn_under"] || 0),
      "none" => 0
    }.fetch(allowance["kind"])
  end

  def spans(t)
    length, left, right, overlap, ease =
      r(t["support"]["length"]), *%w[return_left return_right overlap ease].map { |key| r(t[key]) }
    case t["opening"]["kind"]
    when "pair"
      split = r(t["opening"]["split"])
      [{hand: "left", leads: :right, f: length * split + overlap / 2 + left + ease, r: left, o: overlap / 2},
        {hand: "right", leads: :left, f: length * (1 - split) + overlap / 2 + right + ease, r: right, o: overlap / 2}]
    when "one_way_left" then [{hand: "single", leads: :right, f: length + left + right + ease, r: left, o: right}]
    when "one_way_right" then [{hand: "single", leads: :left, f: length + left + right + ease, r: right, o: left}]
    when "dress_pair"
      cover = r(t["opening"]["cover"])
      [
        {hand: "left", leads: :right, f: cover + left + ease, r: left, o: 0},
        {hand: "right", leads: :left, f: cover + right + ease, r: right, o: 0}
      ]
    else panels(t["opening"]["panels"], length, left, right, ease)
    end
  end

  def panels(count, length, left, right, ease)
    (1..count).map do |number|
      turn = 0
      turn = left if number == 1
      turn = right if number == count
      {
        hand: "panel #{number}",
        leads: (number == count) ? :left : :right,
        f: length / count + turn + ease,
        r: turn,
        o: 0
      }
    end
  end

  def ratio(heading)
    full = heading["fullness"]
    return r(full) unless full.is_a?(Hash)

    full["percent_total"] ? r(full["percent_total"]) / 100 : 1 + r(full["percent_added"]) / 100
  end

  def top(t)
    h = t["heading"]
    case h["kind"]
    when "hand_pleat" then r(h["buckram"]) * h["buckram_folds"]
    when "rod_pocket"
      pocket = h["pocket"] ? r(h["pocket"]) : stepped(r(t["support"]["diameter"]) * PI / 2 + 10, 5)
      r(h["frill"]) + pocket + r(h["turn_under"])
    else r(h["top_turn"])
    end
  end

  def stepped(value, step)
    steps = 0
    steps += 1 while steps * step < value
    steps * step
  end

  def flats(h, span)
    return [span[:r], span[:o]] unless h["kind"] == "hand_pleat"

    [span[:r], span[:o]].map { |flat| flat.zero? ? r(h["edge_flat"]) : flat }
  end

  # The nearest even number, found by trying.
  def even(value, least) = least.step(by: 2).each_cons(2) { |low, high| return low if value < (low + high)/2r }

  def needed(h, span)
    f = span[:f]
    case h["kind"]
    when "hand_pleat", "webbing" then (f - flats(h, span).sum) * ratio(h) + flats(h, span).sum
    when "wave"
      gliders = 2
      gliders += 2 while gliders * r(h["glider_spacing"]) < f
      gliders * r(h["hook_pitch"])
    when "fixed_pitch"
      k = 1
      k += 1 while (f * ratio(h) / r(h["pitch"])) >= k + 1/2r
      k * r(h["pitch"])
    when "eyelet" then h["tape_pitch"] ? even(f * ratio(h) / r(h["tape_pitch"]), 4) * r(h["tape_pitch"]) : f * ratio(h)
    else f * ratio(h)
    end
  end

  def dictates?(h) = %w[wave fixed_pitch].include?(h["kind"]) || !h["tape_pitch"].nil?

  def edge(cloth, seam)
    selvedge = r(cloth["selvedge"])
    cloth["selvedge_in_seam"] ? [selvedge, seam].max : selvedge + seam
  end

  def across(cloth)
    h = r(cloth["horizontal_repeat"] || 0)
    h.positive? ? h : nil
  end

  # Lays width beside width and says how wide it comes out.
  def flat(cloth, seam, side, count)
    width, selvedge, lost = r(cloth["width"]), r(cloth["selvedge"]), edge(cloth, seam)
    more = width - 2 * lost
    repeats = 0
    repeats += 1 while across(cloth) && (repeats + 1) * across(cloth) <= more
    more = repeats * across(cloth) if repeats.positive?
    whole = count.floor
    return width - 2 * (selvedge + side) + (whole - 1) * more if whole == count

    whole * more + width / 2 - selvedge - 2 * side
  end

  def least(cloth, seam, side, wanted, step)
    count = step
    count += step while flat(cloth, seam, side, count) < wanted
    count
  end

  def curtain(t, face, span)
    making, h = t["making"], t["heading"]
    side, seam = taken(making["side"]), r(making["seam"])
    wanted = needed(h, span)
    step = (making["width_step"] == "half") ? 1/2r : 1r
    count, made = 1, wanted
    unless t["run"] == "railroad"
      count = if making["widths"]
        r(making["widths"])
      else
        least(face, seam, side, dictates?(h) ? wanted : wanted * (1 - r(making["accept_short_percent"]) / 100), step)
      end
      made = flat(face, seam, side, count)
      made = [made, wanted].min if making["trim"] == "to_fullness"
      made = wanted if dictates?(h)
    end
    span.merge(flat_needed: wanted, widths: count, flat_width: made, pleats: pleats(h, span, made))
  end

  # Every count up to far beyond anything sensible is tried.
  def pleats(h, span, made)
    return unless h["kind"] == "hand_pleat"

    hanging = span[:f] - flats(h, span).sum
    return 0 if made <= span[:f] || hanging <= 0
    return h["pleats"] if h["pleats"]

    (2..250).min_by do |n|
      [
        outside(hanging / (n - 1), h["space"]) + outside((made - span[:f]) / n, h["take_up"]),
        (hanging / (n - 1) - r(h["space"]["target"])).abs,
        -n
      ]
    end
  end

  def outside(value, range)
    low, target, high = range.values_at("min", "target", "max").map { |bound| r(bound) }
    [low - value, value - high, 0].max / target
  end

  def linings(t, curtains)
    lining, cloth = t["lining"], @cloths[t["lining"]["cloth"]]
    step = (t["making"]["width_step"] == "half") ? 1/2r : 1r
    curtains.map do |curtain|
      next 1 if lining["run"] == "railroad"

      target = curtain[:flat_width] - 2 * r(lining["inset"])
      least(
        cloth,
        r(lining["seam"] || t["making"]["seam"]),
        r(lining["side_turn"]),
        target * (1 - r(lining["accept_short_percent"]) / 100),
        step
      )
    end
  end

  # Each width with its phase; then halves of one phase put together where the cloth allows.
  def total(t, face, curtains)
    return curtains.size if t["run"] == "railroad"

    shifts = shifts?(t, face)
    halves =
      curtains
        .select { |curtain| curtain[:widths] % 1 != 0 }
        .map { |curtain| [phase(t, curtain, curtain[:widths].floor, shifts), curtain[:leads]] }
    curtains.sum { |curtain| curtain[:widths].floor } +
      halves.group_by(&:first).values.sum { |same| together(face, same.map(&:last)) }
  end

  def together(face, leads)
    handed = face["one_way"] || r(face["vertical_repeat"] || 0).positive? || across(face)
    handed ? [leads.count(:left), leads.count(:right)].max : (leads.size/2r).ceil
  end

  def shifts?(t, face)
    return false unless face["match"] == "half_drop"
    return true unless across(face)

    ((r(face["width"]) - 2 * edge(face, r(t["making"]["seam"]))) / across(face)).floor.then do |count|
      count.zero? || count.odd?
    end
  end

  def phase(t, curtain, index, shifts)
    return "A" unless shifts

    across = t["pattern"]["meet"] == "across" && t["opening"]["kind"] == "pair" && curtain[:hand] == "right"
    [%w[A B], %w[B A]][across ? 1 : 0][index % 2]
  end
end
