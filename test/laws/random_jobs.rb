# frozen_string_literal: true

# Makes job documents of every kind at random, from a seed: sensible ones, such as a workroom might send.
class RandomJobs
  HEADINGS = %i[pencil_pleat hand_pleat eyelet eyelet_tape wave rod_pocket fixed_pitch pleater_hook tab_top clip_ring
    webbing].freeze

  def initialize(seed)
    @random = Random.new(seed)
  end

  # @param treatments [Integer]
  # @return [Hash] a job document in millimetres
  def document(treatments: 1 + @random.rand(3))
    cloths = [
      cloth("face1", "face"),
      cloth("face2", "face"),
      cloth("lining1", "lining"),
      cloth("inter1", "interlining").slice("id", "use", "width", "selvedge", "shrink_percent", "mass")
    ]
    list = Array.new(treatments) { |index| treatment("t#{index}") }
    {"format" => "earnest-fold/job", "version" => 1, "title" => "Random", "unit" => "mm", "cloths" => cloths,
     "windows" => [{"id" => "w", "treatments" => list}]}
  end

  def cloth(id, use)
    patterned = chance(0.5)
    made = {
      "id" => id,
      "use" => use,
      "width" => pick(1200, 1370, 1400, 1500, 2800),
      "selvedge" => pick(0, 5, 10, 15),
      "selvedge_in_seam" => chance(0.3),
      "shrink_percent" => pick(0, 0, 2, 3.5),
      "square_off" => pick(0, 0, 20),
      "mass" => pick(nil, 150, 320),
      "one_way" => chance(0.3)
    }
    return made unless patterned

    made.merge(
      "vertical_repeat" => pick(160, 320, 480, 640),
      "horizontal_repeat" => pick(0, 300, 450, 600, 1370),
      "match" => pick("straight", "half_drop")
    )
  end

  def treatment(id)
    {
      "id" => id,
      "support" => {
        "kind" => "pole",
        "length" => between(600, 3600),
        "diameter" => pick(16, 28, 35),
        "projection" => pick(nil, 60, 90),
        "carriers" => pick(nil, 12, 40),
        "rating" => pick(nil, 5, 20)
      },
      "opening" => opening,
      "return_left" => pick(0, 60, 90),
      "return_right" => pick(0, 60, 110),
      "overlap" => pick(0, 80, 100),
      "ease" => pick(0, 25),
      "drop" => {
        "readings" => Array.new(1 + @random.rand(3)) { between(1200, 2600) },
        "stand_up" => pick(0, 12, -30),
        "offset" => pick(0, -10, 150)
      },
      "heading" => heading,
      "making" => making,
      "face" => pick("face1", "face2"),
      "run" => chance(0.15) ? "railroad" : "up_the_drop",
      "pattern" => {
        "place" => pick("free", "hem", "top"),
        "point" => pick(0, 50, 120),
        "meet" => pick("same", "across")
      },
      "lining" => chance(0.5) ? lining : nil,
      "interlining" => chance(0.3) ? {"cloth" => "inter1"} : nil
    }
  end

  def opening
    case pick(:pair, :pair, :left, :right, :dress, :panels)
    when :pair then {"kind" => "pair", "split" => pick(0.5, 0.5, 0.4)}
    when :left then {"kind" => "one_way_left"}
    when :right then {"kind" => "one_way_right"}
    when :dress then {"kind" => "dress_pair", "cover" => between(250, 600)}
    else {"kind" => "panels", "panels" => 2 + @random.rand(3)}
    end
  end

  def heading(kind = pick(*HEADINGS))
    fullness = pick(1.5, 2, 2.3, {"percent_total" => 225}, {"percent_added" => 75})
    {
      pencil_pleat: {
        "kind" => "pencil_pleat",
        "fullness" => fullness,
        "top_turn" => 40,
        "tape_turn_in" => 30,
        "hook_spacing" => pick(60, 80)
      },
      hand_pleat: {
        "kind" => "hand_pleat",
        "style" => "triple",
        "fullness" => fullness,
        "buckram" => 100,
        "buckram_folds" => pick(1, 2),
        "edge_flat" => pick(0, 40),
        "pleats" => pick(nil, nil, 9),
        "space" => {"min" => 90, "target" => 105, "max" => 120},
        "take_up" => {"min" => 100, "target" => 135, "max" => 170},
        "hide_seams" => chance(0.5)
      },
      eyelet: {
        "kind" => "eyelet",
        "fullness" => fullness,
        "pitch" => 150,
        "top_turn" => 100,
        "eyelet_diameter" => pick(nil, 40)
      },
      eyelet_tape: {"kind" => "eyelet", "fullness" => fullness, "tape_pitch" => 150, "top_turn" => 30},
      wave: {
        "kind" => "wave",
        "glider_spacing" => 80,
        "hook_pitch" => pick(160, 176),
        "tape_turn_in" => 10,
        "top_turn" => 90
      },
      rod_pocket: {
        "kind" => "rod_pocket",
        "fullness" => fullness,
        "frill" => pick(0, 20),
        "pocket" => pick(nil, 45),
        "turn_under" => 15
      },
      fixed_pitch: {"kind" => "fixed_pitch", "fullness" => fullness, "pitch" => 100, "top_turn" => 70},
      pleater_hook: {
        "kind" => "pleater_hook",
        "fullness" => fullness,
        "pocket_pitch" => 18,
        "skips" => [3, 3, 3],
        "edge" => 3,
        "top_turn" => 20
      },
      tab_top: {
        "kind" => "tab_top",
        "fullness" => fullness,
        "top_turn" => 15,
        "tab_width" => 50,
        "tab_drop" => 50,
        "tab_spacing" => 160
      },
      clip_ring: {"kind" => "clip_ring", "fullness" => fullness, "top_turn" => 50, "clip_spacing" => 140},
      webbing: {"kind" => "webbing", "fullness" => fullness, "top_turn" => 100, "eyelet_spacing" => 305}
    }.fetch(kind)
  end

  def making
    {
      "hem" => {"kind" => pick("double", "single"), "depth" => pick(60, 80, 100), "turn_under" => pick(0, 10)},
      "side" => {"kind" => pick("single", "double"), "depth" => pick(20, 40), "turn_under" => pick(0, 10)},
      "seam" => 15,
      "squaring" => pick(0, 30),
      "width_step" => pick("whole", "half"),
      "accept_short_percent" => pick(0, 0, 6),
      "trim" => pick("full_widths", "to_fullness"),
      "widths" => pick(nil, nil, nil, nil, 2.5)
    }
  end

  def lining
    {
      "cloth" => "lining1",
      "lift" => 25,
      "inset" => pick(0, 20),
      "side_turn" => 20,
      "top" => 40,
      "hem" => {"kind" => "double", "depth" => 50},
      "seam" => pick(nil, 10),
      "accept_short_percent" => pick(0, 4),
      "run" => chance(0.15) ? "railroad" : "up_the_drop"
    }.compact
  end

  def pick(*values) = values[@random.rand(values.size)]

  def chance(share) = @random.rand < share

  def between(from, to) = from + @random.rand(to - from)

  # A document spoilt in a few places: values of wrong kinds, gone, absurd.
  def spoilt(document)
    copy = Marshal.load(Marshal.dump(document))
    (1 + @random.rand(3)).times { spoil(copy) }
    copy
  end

  WRONG = [
    nil,
    "",
    "x",
    0,
    -1,
    1e9,
    "-5 cm",
    "0 in",
    [],
    {},
    true,
    "1/0",
    "3 ft 2 m",
    0.5,
    10**40,
    "9" * 60,
    ["a"],
    {"kind" => "none"},
    {"ratio" => 0},
    "\u0000",
    "½"
  ].freeze

  def spoil(node)
    keys = node.is_a?(Hash) ? node.keys : (0...node.size).to_a
    return if keys.empty?

    key = keys[@random.rand(keys.size)]
    inner = node[key]
    return spoil(inner) if (inner.is_a?(Hash) || inner.is_a?(Array)) && !inner.empty? && chance(0.8)

    (chance(0.2) && node.is_a?(Hash)) ?
      node.delete(key) :
      node[key] = Marshal.load(Marshal.dump(WRONG[@random.rand(WRONG.size)]))
  end
end
