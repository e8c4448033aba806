# frozen_string_literal: true

require "earnest_fold"

# Job documents made from the fields that the core declares, and from nothing else: a field that is added tomorrow is
# in them. Each is a name and a document with one treatment or one alteration.
class DeclaredDocuments
  R = EarnestFold::Reckoning
  K = R::FieldKinds
  # What a length of a name is about, in millimetres; any other is small.
  SENSIBLE = {
    "support.length" => 2040,
    "support.height" => 2400,
    "support.diameter" => 30,
    "support.projection" => 120,
    "drop.readings" => 2140,
    "opening.cover" => 420,
    "ordered.finished_width" => 1040,
    "ordered.finished_drop" => 2120,
    "ordered.cut_length" => 2330,
    "return_left" => 75,
    "return_right" => 75,
    "overlap" => 80,
    "ease" => 20,
    "width" => 1370,
    "length" => 9000,
    "cloth.vertical_repeat" => 320,
    "cloth.horizontal_repeat" => 450,
    "drop.stand_up" => 15,
    "drop.offset" => -10,
    "wall.from_left" => 200,
    "wall.height" => 900,
    "wall.width" => 800,
    "wall.down" => 300
  }.freeze
  SMALL = 20
  # Edges of what a field takes that other fields would have to follow.
  RATHER = {
    "panels" => 3,
    "carriers" => 200,
    "rating" => 40,
    "split" => 0.4,
    "price" => "38.50",
    "curtains" => 2,
    "mass" => 310,
    "shrink_percent" => 3,
    "accept_short_percent" => 4,
    "pleats" => 7,
    "pleats_per_width" => 4
  }.freeze
  WORDS = "Ferry & <b>\"inn\"</b> d’été, Ελένη, Щука, Łódź, 漢"

  # One document of those made, with what it is about, and the refusal that it may be answered with (nil: none).
  Made = Struct.new(:name, :document, :refusal)

  # @return [Array<Made>] the whole of them
  def all =
    plain + by_heading + by_tape + by_opening + dress_pair + absent_in_turn + alone_in_turn + linings + cloths +
      ordered + alterations + parts

  # @return [Array<Made>] the least and the most of them, for a house of any habits
  def plain_and_full = [made("the least", treatment: least), made("the most", treatment: most, cloths: full_cloths)]

  # @return [Array<Hash>] the house's rules with one habit each that isn't the usual one
  def self.houses
    R::HouseRules::FIELDS.select { |field| field.kind.is_a?(K::ChoiceKind) }
      .flat_map { |field| (field.kind.words - [field.default]).map { |word| {field.key => word} } }
  end

  # @return [Array<Made>] the least and the most, and some of every sort
  def sample = plain + all.drop(plain.size).each_slice(45).map(&:last)

  private

  UNITS = %w[cm in].freeze

  # A point that the length was measured from may not suit the heading; nobody knows how many hooks with prongs are
  # wanted unless it is said.
  REFUSALS = {
    /measured_from/ => /doesn.t suit this heading/,
    /ready_hooks (nothing but skips|all but hooks)/ => /must be given/,
    # Where the hem that came is none, there is none to be like.
    /(split_panel|shorten_at_hem) all but hem|lengthen all but existing_hem/ => /must be given/
  }.freeze
  # None of them has to be given where another is.
  ONE_OF = %w[wanted_length existing_hem hem].freeze

  def made(name, **parts) = Made.new(name, document(**parts), REFUSALS.find { |about, _| about.match?(name) }&.last)

  def document(treatment: nil, unit: "cm", cloths: [face], alterations: [], **more)
    treatment, tapes = treatment ? taped(treatment) : [nil, []]
    windows = treatment ? [{"id" => "w", "room" => WORDS, "treatments" => [{"id" => "t"}.merge(treatment)]}] : []
    {
      "format" => "earnest-fold/job",
      "version" => 1,
      "title" => "Swept",
      "unit" => unit,
      "cloths" => cloths,
      "windows" => windows,
      **(alterations.empty? ? {} : {"alterations" => alterations}),
      **(tapes.empty? ? {} : {"tapes" => tapes}),
      **more.transform_keys(&:to_s)
    }
  end

  def full_cloths = [face(:most), lining_cloth(:most), interlining_cloth(:most)]

  def plain
    UNITS.flat_map do |unit|
      [
        made("the least, #{unit}", treatment: least, unit: unit),
        made("the most, #{unit}", treatment: most, unit: unit, cloths: full_cloths)
      ]
    end
  end

  def by_heading
    R::Headings.names.product(UNITS, %w[up_the_drop railroad]).flat_map do |kind, unit, run|
      [
        made(
          "#{kind} the least, #{run}, #{unit}",
          treatment: least.merge("heading" => heading(kind, :least), "run" => run),
          unit: unit
        ),
        made(
          "#{kind} the most, #{run}, #{unit}",
          treatment: most.merge("heading" => heading(kind, :most), "run" => run, "opening" => {"kind" => "pair"}),
          unit: unit,
          cloths: full_cloths
        )
      ]
    end
  end

  # What a tape says the heading needn't.
  def by_tape
    R::Headings.select(&:tape).product(%i[least most], UNITS).map do |kind, amount, unit|
      own = heading(kind.kind, amount).except(*kind.filled_by_tape)
      own = own.merge("hook_row" => "top") if amount == :most && kind.fields.names.include?(:hook_row)
      made(
        "#{kind.kind} #{amount} with its tape, #{unit}",
        treatment: least.merge("heading" => own, "tape" => WORDS),
        unit: unit
      )
    end
  end

  # A tape that its heading can take, where one is named.
  def taped(treatment)
    kind = R::Headings[treatment.dig("heading", "kind")]&.tape
    return [treatment.except("tape"), []] unless treatment.key?("tape") && kind

    tape = record(R::Tape::FIELDS, "tape", :most).slice("id", *R::Tape::ASKED.fetch(kind)).merge("kind" => kind)
    [treatment.merge("tape" => tape["id"]), [tape]]
  end

  # A dress pair's support has a length that nobody has to give.
  def dress_pair
    R::Headings.names.map do |head|
      made(
        "a dress pair of #{head}, no length",
        treatment: least.merge(
          "opening" => opening("dress_pair"),
          "heading" => heading(head, :least),
          "support" => {"kind" => "track"}
        )
      )
    end
  end

  # Somebody else measured: the window needn't be.
  def ordered
    R::Opening::KINDS.product(UNITS).map do |kind, unit|
      made(
        "#{kind} as ordered, #{unit}",
        treatment: least.except("drop").merge(
          "opening" => opening(kind),
          "support" => {"kind" => "track"},
          "ordered" => {"finished_width" => "104 cm", "finished_drop" => "212 cm"}
        ),
        unit: unit
      )
    end
  end

  def by_opening
    R::Opening::KINDS.product(R::Headings.names, R::Support::KINDS).map do |kind, head, support|
      made(
        "#{kind} with #{head} on a #{support}",
        treatment: least.merge(
          "opening" => opening(kind),
          "heading" => heading(head, :least),
          "support" => least["support"].merge("kind" => support, "diameter" => "3 cm")
        )
      )
    end
  end

  # All there but one, each in its turn.
  def absent_in_turn
    optional_paths(R::Treatment::FIELDS, most).map do |path|
      made("all but #{path.join(".")}", treatment: without(most, path), cloths: full_cloths)
    end
  end

  # Nothing there but one, each in its turn.
  def alone_in_turn
    optional_paths(R::Treatment::FIELDS, most).flat_map do |path|
      values = choices(path) || [most.dig(*path)]
      values.map do |value|
        made(
          "nothing but #{path.join(".")} #{value if value.is_a?(String)}",
          treatment: with(least, path, value),
          cloths: [face(:least), lining_cloth(:least), interlining_cloth(:least)]
        )
      end
    end
  end

  def linings
    [:least, :most].product([:least, :most], UNITS, [true, false]).map do |lining, cloth, unit, inter|
      asked = least.merge(
        "lining" => (lining == :least) ? {"cloth" => "l"} : most["lining"],
        **(inter ? {"interlining" => {"cloth" => "i"}} : {})
      )
      made(
        "lining #{lining} of cloth #{cloth}, #{unit}#{", interlined" if inter}",
        treatment: asked,
        unit: unit,
        cloths: [face(cloth), lining_cloth(cloth), interlining_cloth(cloth)]
      )
    end
  end

  # Each property of a cloth alone, with and without pieces.
  def cloths
    R::Cloth::FIELDS.reject(&:required?).flat_map do |field|
      values = field.kind.is_a?(K::ChoiceKind) ? field.kind.words : [value(field, "cloth.#{field.key}", :most)]
      values.product([false, true]).map do |value, lies|
        own = face(:least).merge(field.key => value)
        own = own.merge("vertical_repeat" => "32 cm") if value == "half_drop"
        own = own.merge("pieces" => (field.key == "pieces") ? value : pieces) if lies
        made(
          "cloth with #{field.key} #{value if value.is_a?(String)}#{", in pieces" if lies}",
          treatment: least,
          cloths: [own]
        )
      end
    end
  end

  def alterations
    R::Alterations.flat_map do |kind|
      either = in_format(kind.example.slice(*ONE_OF))
      base = {"id" => "a", "kind" => kind.kind}.merge(required(kind.fields, kind.example), either)
      whole = base.merge(
        most_of(kind.all_fields, "alteration"),
        in_format(kind.example),
        "lined" => true,
        "printed" => true,
        "curtains" => 2
      )
      optional = kind.all_fields.reject(&:required?).map(&:key)
      [
        made("#{kind.kind} the least", alterations: [base], cloths: []),
        made("#{kind.kind} the most", alterations: [whole], cloths: [], unit: "in"),
        *optional.map { |key| made("#{kind.kind} all but #{key}", alterations: [whole.except(key)], cloths: []) },
        *optional.map do |key|
          made("#{kind.kind} nothing but #{key}", alterations: [base.merge(key => whole[key])], cloths: [])
        end
      ]
    end
  end

  def parts
    R::SmallParts.flat_map do |kind|
      [required(kind.fields, kind.example), most_of(kind.fields, "part").merge(in_format(kind.example))].map
        .with_index do |fields, index|
        made(
          "#{kind.kind} the #{index.zero? ? "least" : "most"}",
          treatment: least,
          small_parts: [{"id" => "p", "kind" => kind.kind, "cloth" => "f"}.merge(fields)]
        )
      end
    end
  end

  # The least a person can give.
  def least =
    @least ||= record(R::Treatment::FIELDS, "", :least).merge(
      "support" => {"kind" => "track", "length" => "204 cm"},
      "heading" => heading("pencil_pleat", :least),
      "drop" => {"readings" => ["214 cm"]},
      "face" => "f",
      "opening" => {"kind" => "pair"}
    )

  def most
    @most ||= record(R::Treatment::FIELDS, "", :most).merge(
      "heading" => heading("hand_pleat", :most),
      "face" => "f",
      "opening" => opening("pair"),
      "run" => "up_the_drop",
      "lining" => record(R::Lining::FIELDS, "lining", :most).merge("cloth" => "l", "run" => "up_the_drop"),
      "interlining" => {"cloth" => "i"},
      "trimming" => "i",
      "name" => WORDS
    )
  end

  def heading(kind, amount)
    kind = R::Headings.fetch(kind)
    own = required(kind.fields, kind.example)
    own = own.merge("pocket" => "4 cm") if kind.kind == "rod_pocket" && amount == :least
    {"kind" => kind.kind, **((amount == :least) ? own : most_of(kind.fields, "heading").merge(in_format(kind.example)))}
  end

  def required(fields, example) = in_format(example.slice(*fields.select(&:required?).map(&:key)))

  # A document writes a number as one.
  def in_format(example) = example.to_h { |key, given|
    [key, if given.is_a?(String) && given.match?(/\A[\d.]+\z/)
            Float(given)
          else
            (given.is_a?(Hash) ? in_format(given) : given)
          end]
  }

  def most_of(fields, within) =
    fields.reject(&:required?).to_h { |field| [field.key, value(field, "#{within}.#{field.key}", :most)] }

  def opening(kind) =
    {
      "kind" => kind,
      **{"dress_pair" => {"cover" => "42 cm"}, "panels" => {"panels" => 3}, "pair" => {"split" => 0.4}}.fetch(
        kind,
        {}
      )
    }

  def face(amount = :least) = cloth("f", "face", amount)

  def lining_cloth(amount) = cloth("l", "lining", amount)

  def interlining_cloth(amount) = cloth("i", "interlining", amount)

  def cloth(id, use, amount)
    own = record(R::Cloth::FIELDS, "cloth", amount).merge(
      "id" => id,
      "use" => use,
      "name" => (amount == :most) ? "#{WORDS} #{id}" : "Cloth #{id}"
    )
    own = own.merge("pieces" => pieces.map { |piece| piece.merge("id" => "#{id}-#{piece["id"]}") }) if amount == :most
    own
  end

  def pieces =
    [
      {"id" => "P1", "length" => "9 m"},
      record(R::Piece::FIELDS, "piece", :most).merge(
        "id" => "P2",
        "length" => "30 m",
        "flaws" => [{"from" => "2 m", "to" => "2.1 m"}]
      )
    ]

  def record(fields, within, amount)
    fields
      .select { |field| field.required? || amount == :most }
      .to_h { |field| [field.key, value(field, [within, field.key].reject(&:empty?).join("."), amount)] }
  end

  def value(field, path, amount)
    kind = field.kind
    case kind
    when K::LengthKind then length(path)
    when K::RecordKind then record(kind.fields, path, amount)
    when K::ListKind then if field.key == "pieces"
                            pieces
                          else
                            Array.new((amount == :most) ? 4 : [kind.least, 1].max) do |index|
                              element(kind.kind, path, index)
                            end
                          end
    when K::PitchesKind then [{"pitch" => "17.6 cm", "mark" => "dot"}, {"pitch" => "200 mm"}]
    when K::ChoiceKind then kind.words.last
    when K::FlagKind then true
    when K::FullnessKind then 2
    when K::TextKind then (kind.most > 200) ? "#{WORDS}\n#{WORDS}" : WORDS
    else rather(field, kind)
    end
  end

  def element(kind, path, index) =
    kind.is_a?(K::LengthKind) ? "#{SENSIBLE.fetch(path, SMALL) - index * 3} mm" : record(kind.fields, path, :least)

  def length(path)
    last = path.split(".").last
    "#{SENSIBLE.values_at(path, last, "wall.#{last}").compact.first || SMALL} mm"
  end

  def rather(field, kind) = if kind.is_a?(K::WidthsKind)
                              2.5
                            else
                              RATHER.fetch(field.key) { kind.is_a?(K::CountKind) ? [kind.least, 2].max : 1 }
                            end

  # @return [Array<Array<String>>] the path of every field that may be left out, those within records too
  def optional_paths(fields, sample, within = [])
    fields.flat_map do |field|
      path = within + [field.key]
      next [] if field.kind.is_a?(R::HeadingField) || field.kind.is_a?(K::ListKind)

      inner = field.kind.is_a?(K::RecordKind) ? optional_paths(field.kind.fields, sample, path) : []
      field.required? ? inner : [path, *inner]
    end
  end

  # @return [Array<String>, nil] the words of a choice
  def choices(path)
    field =
      path[..-2]
        .reduce(R::Treatment::FIELDS) { |fields, step| fields.fetch(step.to_sym).kind.fields }
        .fetch(path.last.to_sym)
    field.kind.words if field.kind.is_a?(K::ChoiceKind)
  end

  def without(spec, path) =
    path.one? ? spec.except(path.first) : spec.merge(path.first => without(spec.fetch(path.first), path.drop(1)))

  # With it set; a record that wasn't there needs what it can't do without.
  def with(spec, path, value)
    return spec.merge(path.first => value) if path.one?

    spec.merge(path.first => with(spec[path.first] || needed(path.first), path.drop(1), value))
  end

  def needed(key) =
    {
      "lining" => {"cloth" => "l"},
      "interlining" => {"cloth" => "i"},
      "hem" => {"kind" => "double"},
      "side" => {"kind" => "double"}
    }.fetch(key, {})
end
