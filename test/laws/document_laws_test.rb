# frozen_string_literal: true

require "bigdecimal"
require "test_helper"
require_relative "random_jobs"

# Laws that hold for every job, tried on many: whatever the heading, the cloth or the house's habits.
class DocumentLawsTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  MOST = 160
  SEEDS = Walks.some(MOST.times, 50)

  def test_more_fullness_never_needs_less_cloth
    each_job do |document, seed|
      tame(document)
      used = [1.4, 2, 2.7].map { |ratio| lengths(with_fullness(document, ratio)) }
      used.each_cons(2) do |less, more|
        less.each { |id, length| assert_operator more[id], :>=, length, "seed #{seed}, #{id}" }
      end
    end
  end

  # A treatment read with what another one said is what it is when it is read alone: only what is the same is taken
  # over.
  def test_what_was_read_before_changes_nothing_of_what_is_read_now
    taken = 0
    SEEDS.each do |seed|
      one, other = [seed, seed + MOST].map { |own| plain(RandomJobs.new(own).document)["windows"][0]["treatments"][0] }
      mixed = other.merge(one.slice(*one.keys.sample(4, random: Random.new(seed))))
      known = nil
      R::Treatment.read(one, R::Units::CM, R::Problems.new) { |read| known = read }
      [one, other, mixed].each do |raw|
        alone, beside = R::Problems.new, R::Problems.new
        expected = R::Treatment.read(raw, R::Units::CM, alone)
        got = R::Treatment.read(raw, R::Units::CM, beside, known: known)
        assert_equal [expected, alone.to_a], [got, beside.to_a], "seed #{seed}"
        taken += 1 if known && expected
      end
    end
    assert_operator taken, :>, SEEDS.size
  end

  def test_the_parts_of_a_heading_add_up_to_the_flat_width
    tried = 0
    each_treatment do |made, seed|
      heading = made.treatment.heading
      next unless heading.is_a?(R::HandPleat)

      made.curtains.each do |curtain|
        parts = heading.marks(curtain.task, curtain.heading)
        assert_equal curtain.flat_width, parts.sum(R::Length::ZERO) { |part| part.to - part.at }, "seed #{seed}"
        assert_equal parts.map(&:to)[0...-1], parts.map(&:at)[1..]
        tried += 1
      end
    end
    assert_operator tried, :>, SEEDS.size / 5
  end

  def test_marks_stay_on_the_heading
    each_treatment do |made, seed|
      made.curtains.each do |curtain|
        made.treatment.heading.marks(curtain.task, curtain.heading).each do |mark|
          most = (mark.along == :flat) ? curtain.flat_width : curtain.finished_width
          assert mark.at.between?(R::Length::ZERO, most) && (mark.to.nil? || mark.to <= most), "seed #{seed} #{mark}"
        end
      end
    end
  end

  def test_every_cut_covers_the_finished_drop_and_its_allowances
    each_treatment do |made, seed|
      making = made.treatment.making
      kept = made.treatment.sideways? ? 1 : made.treatment.face.after_shrinking
      assert_operator made.cut_drop * kept,
        :>=,
        made.finished_drop + made.drop_cut.top + making.hem.taken,
        "seed #{seed}"
      assert_operator made.cut_length, :>=, made.cut_drop
    end
  end

  def test_the_least_width_is_least
    each_treatment do |made, seed|
      treatment = made.treatment
      next if treatment.sideways? || treatment.making.widths

      made.curtains.each do |curtain|
        wanted =
          if treatment.heading.dictates?
            curtain.flat_needed
          else
            curtain.flat_needed * (1 - treatment.making.accept_short_percent / 100)
          end
        assert_operator treatment.width_rule.flat(curtain.widths), :>=, wanted, "seed #{seed}"
        less = curtain.widths - treatment.making.step
        assert_operator treatment.width_rule.flat(less), :<, wanted, "seed #{seed}" if less.positive?
      end
    end
  end

  def test_half_widths_lose_no_cloth
    (1..9).each do |halves|
      shares =
        Array.new(halves) do |index|
          R::WidthsToCut::Share.new(hand: index.to_s, leads: index.even? ? :left : :right, count: 1 / 2r, across: false)
        end
      cloth = R::Cloth.new(
        **R::Cloth::FIELDS.read({"id" => "c", "use" => "face", "width" => 1400}, R::Units::MM, R::Problems.new)
      )
      assert_equal (halves/2r).ceil, R::WidthsToCut.new(cloth, false, shares).list.size
      assert_equal halves, R::WidthsToCut.new(cloth, false, shares).list.sum { |cut| cut.curtain.split(", ").size }
    end
  end

  def test_centimetres_and_inches_give_the_same_figures
    each_job do |document, seed|
      other = document.merge("unit" => "in")
      assert_equal figures(document), figures(in_inches(other)), "seed #{seed}"
    end
  end

  def test_on_the_endless_piece_every_cut_is_there_in_phase_and_clear
    each_job do |document, seed|
      reckoned(document).cloths.each do |made|
        made.endless.placed.each_cons(2) { |one, two| assert_operator two.from, :>=, one.to, "seed #{seed}" }
        made.endless.placed.each do |placed|
          assert_operator placed.from, :>=, made.cloth.square_off
          if placed.cut.start
            assert_equal R::Length::ZERO, (placed.from - placed.cut.start) % made.cloth.vertical_repeat, "seed #{seed}"
          end
        end
        assert_equal made.endless.placed.map { |placed| placed.cut.hash }.sort,
          demand(document, made.cloth).map(&:hash).sort
        assert_operator made.length_to_order, :>=, made.length_needed
      end
    end
  end

  def test_choices_are_the_treatment_with_other_widths
    each_treatment do |made, _|
      R::Choices.of(made).each do |choice|
        choice.reckoning.curtains.each { |curtain| assert_equal choice.name, curtain.widths } unless choice.chosen?
        assert_operator choice.length, :>=, made.treatment.face.order_step
      end
    end
  end

  private

  def each_job
    SEEDS.each do |seed|
      document = RandomJobs.new(seed).document
      yield document, seed
    end
  end

  def each_treatment
    each_job { |document, seed| reckoned(document).treatments.each { |made| yield made, seed } }
  end

  # As a file is read: numbers with a point are decimals.
  def plain(document) = JSON.parse(JSON.generate(document), decimal_class: BigDecimal)

  def read(document) = EarnestFold::Documents::JobFormat.read(JSON.generate(document))

  def reckoned(document) = R::JobReckoning.new(read(document))

  def figures(document) =
    EarnestFold::Documents::ReckoningFormat.new(reckoned(document)).to_h["treatments"].transform_values do |made|
      made.except("working", "checks")
    end

  def demand(document, cloth) = R::Cutting::Demand.of(reckoned(document).treatments, cloth)

  def lengths(document) =
    reckoned(document).treatments.to_h { |made| [made.id, made.curtains.sum(R::Length::ZERO, &:flat_width)] }

  # Widths given by hand don't follow the fullness.
  def tame(document) =
    document["windows"].each { |window| window["treatments"].each { |made| made["making"]["widths"] = nil } }

  def with_fullness(document, ratio)
    copy = Marshal.load(Marshal.dump(document))
    copy["windows"].each { |window| window["treatments"].each { |made| made["heading"]["fullness"] &&= ratio } }
    copy
  end

  COUNTS = %w[version pleats panels carriers edge skips buckram_folds ratio percent_total percent_added split fullness
    rating mass shrink_percent accept_short_percent widths].freeze

  # Every length written in inches, exactly: as a fraction of 127ths of 5.
  def in_inches(node, key = nil)
    case node
    when Hash then node.to_h { |name, inner| [name, in_inches(inner, name)] }
    when Array then (key == "skips") ? node : node.map { |inner| in_inches(inner, key) }
    when Numeric then COUNTS.include?(key) ? node : fraction(Rational(node.to_s) * 5 / 127)
    else node
    end
  end

  def fraction(inches) = "#{"-" if inches.negative?}#{inches.abs.numerator}/#{inches.denominator} in"
end
