# frozen_string_literal: true

require "test_helper"

# Small cases of cutting, every plan of them, and what makes a plan valid.
module BestOfAll
  R = EarnestFold::Reckoning
  C = R::Cutting

  def mm(number) = R::Length.mm(number)

  def cut(treatment, start, length, number) =
    C::Cut.new(
      treatment: treatment,
      curtain: "left",
      number: number,
      phase: nil,
      start: start && mm(start),
      length: mm(length)
    )

  def cloth(repeat, pieces)
    problems = R::Problems.new
    raw = {
      "id" => "c",
      "use" => "face",
      "width" => 1400,
      "vertical_repeat" => repeat,
      "square_off" => 5,
      "pieces" => pieces
    }
    R::Cloth.build(R::Cloth::FIELDS.read(raw, R::Units::MM, problems), problems).tap { assert_empty problems.to_a }
  end

  def example(random)
    repeat = [0, 50, 80].sample(random: random)
    pieces = Array.new(1 + random.rand(3)) { |index| piece(random, index) }
    kinds = Array.new(2) { [repeat.zero? ? nil : random.rand(repeat), 60 + random.rand(80)] }
    cuts =
      Array.new(1 + random.rand(4)) do |index|
        kinds.sample(random: random).then { |start, length| cut("t#{random.rand(2)}", start, length, index) }
      end
    [cloth(repeat, pieces), cuts]
  end

  def piece(random, index)
    length = 150 + random.rand(300)
    flaw = random.rand(length - 20)
    {
      "id" => "p#{index}",
      "length" => length,
      "batch" => %w[1 2].sample(random: random),
      "pattern_start" => random.rand(60),
      "flaws" => (random.rand < 0.5) ? [{"from" => flaw, "to" => flaw + random.rand(15)}] : []
    }
  end

  # Tries every order of every set of treatments on every sharing out over the pieces.
  def best(cloth, cuts, wishes = C::Wishes::NONE)
    treatments = cuts.group_by(&:treatment)
    sets = treatments.keys.map do |id|
      [nil, *cloth.pieces.map(&:batch).uniq.select { |batch| wishes.allowed?(id, batch) }].map { |batch| [id, batch] }
    end
    return [0, 0, 0] if sets.empty?

    sets.first.product(*sets.drop(1)).filter_map { |choice|
      served = choice.reject { |_, batch| batch.nil? }
      used =
        served
          .group_by(&:last)
          .map { |batch, ids| least(cloth, batch, ids.flat_map { |id, _| treatments[id] }, wishes) }
      unless used.include?(nil)
        [cuts.size - served.sum { |id, _| treatments[id].size }, used.sum(&:first), used.sum(&:last)]
      end
    }.min
  end

  def least(cloth, batch, cuts, wishes)
    pieces = cloth.pieces.select { |piece| piece.batch == batch && !wishes.forbidden.include?(piece.id) }
    cuts.permutation.flat_map { |order| fill(cloth, pieces.map { |piece| [piece, 0] }, order, wishes) }.min
  end

  def fill(cloth, ends, order, wishes)
    if order.empty?
      return [[ends.sum { |piece, at| [at - wishes.paid(piece).mm, 0].max }, ends.count { |_, at| at.positive? }]]
    end

    ends.each_index.flat_map do |index|
      piece, at = ends[index]
      at = place(cloth, piece, at, order.first) or next []
      fill(cloth, ends.dup.tap { |copy| copy[index] = [piece, at] }, order.drop(1), wishes)
    end
  end

  # Steps along the piece, millimetre by millimetre, to the first place that will do.
  def place(cloth, piece, at, cut)
    ([at, 5].max.to_i..(piece.length.mm - cut.length.mm).to_i).each do |from|
      next if cut.start && (from - piece.pattern_start.mm - cut.start.mm) % cloth.vertical_repeat.mm != 0
      next if piece.flaws.any? { |flaw| from < flaw.to.mm && from + cut.length.mm > flaw.from.mm }

      return from + cut.length.mm
    end
    nil
  end

  def assert_valid(plan, cloth, cuts, seed, begun: [])
    plan.pieces.each { |made| assert_piece(made, cloth.pieces.find { |piece| piece.id == made.id }, cloth, seed) }
    placed = plan.pieces.flat_map { |piece| piece.placed.map { |one| [one.cut, piece.batch] } }
    assert_equal cuts.size, placed.size + plan.uncut_count
    assert_equal placed.map(&:first).uniq.size, placed.size
    assert placed.group_by { |cut, _| cut.treatment }.values.all? { |same| same.map(&:last).uniq.size == 1 },
      "seed #{seed}: one batch"
    assert_empty placed.map { |cut, _| cut.treatment }.uniq & plan.uncut.map(&:treatment) - begun
  end

  def assert_piece(made, piece, cloth, seed)
    made.placed.each do |placed|
      assert placed.from >= cloth.square_off && placed.to <= piece.length, "seed #{seed}: inside"
      assert_equal placed.cut.length, placed.to - placed.from
      assert piece.flaws.none? { |flaw| placed.from < flaw.to && placed.to > flaw.from }, "seed #{seed}: clear"
      if placed.cut.start
        assert_equal R::Length::ZERO,
          (placed.from - piece.pattern_start - placed.cut.start) % cloth.vertical_repeat,
          "seed #{seed}: in phase"
      end
    end
    made.placed.each_cons(2) { |one, two| assert_operator two.from, :>=, one.to }
  end
end
