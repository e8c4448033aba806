# frozen_string_literal: true

require "documents_helper"
require "laws/random_jobs"

# Just inside an edge the answer is the same, just outside it isn't, and no nearer edge is found by trying the steps
# between, every one of them where they are few.
class NearnessLawTest < EarnestFoldTest
  R = EarnestFold::Reckoning
  N = R::Nearness
  DOCUMENTS = Walks.some(Integer(ENV.fetch("NEARNESS", "25")).times, 8)
  # So many steps are tried every one; of more, as many at random.
  TRIED = 25

  def test_no_nearer_edge_is_found_by_trying
    tried = DOCUMENTS.sum do |seed|
      random = Random.new(seed)
      treatments(seed).sum { |treatment| hold(treatment, random) }
    end
    assert_operator tried, :>, DOCUMENTS.size * 5
  end

  def test_each_answer_beyond_is_told_apart
    treatments(7).each do |treatment|
      now = N::Outcome.of(treatment, {})
      N.of(treatment, R::Units::MM).flat_map(&:edges).each do |edge|
        refute_equal now.parts, edge.outcome&.parts
      end
    end
  end

  # The judgement looks at all that may be misread together first, and only then at each by itself.
  def test_what_a_misreading_takes_is_told_as_if_each_figure_were_looked_at_alone
    found = DOCUMENTS.flat_map do |seed|
      treatments(seed).flat_map { |treatment| [treatment, *just_inside(treatment)] }.map do |treatment|
        alone(treatment).tap do |wanted|
          told = R::Judgement::NearEdge.call(Seen.new(treatment.reckon))&.slice(:form, :figure, :more)
          assert told == wanted, -> { "#{told}, not #{wanted}: #{treatment.inspect}" }
        end
      end
    end
    assert_operator found.compact.size, :>, DOCUMENTS.size / 2
    assert_includes found, nil
  end

  Seen = Struct.new(:reckoning)

  private

  # The same, with a measured figure two millimetres before it takes more.
  def just_inside(treatment)
    now = N::Outcome.of(treatment, {}) or return []
    R::Judgement::NearEdge.reaches(treatment).keys.filter_map do |figure|
      edge = N.edge(now, figure, 1, 400, N::COUNTED) or next
      moved = figure.moved(treatment, edge.apart.to_i - 2).with(name: "anew")
      moved if N::Outcome.of(moved, {})
    end
  end

  def alone(treatment)
    now = N::Outcome.of(treatment, {})
    R::Judgement::NearEdge
      .reaches(treatment)
      .filter_map { |figure, reach| taking_more(now, figure, reach) }
      .min_by { |told, apart| [R::Judgement::NearEdge::TOLD.index(told[:form]), apart] }
      &.first
  end

  def taking_more(now, figure, reach)
    edge = N.edge(now, figure, 1, reach, N::COUNTED)
    part = edge&.outcome && R::Judgement::NearEdge.told(now.treatment).find { |one| edge.outcome.more?(now, one) }
    [{form: part, figure: figure.path, more: edge.outcome.more(now, part)}, edge.apart] if part
  end

  def treatments(seed)
    text = JSON.generate(RandomJobs.new(seed).document)
    job = EarnestFold::Documents::JobFormat.read(text)
    job.reckon.job.treatments
  rescue R::Invalid
    []
  end

  # @return [Integer] figures held
  def hold(treatment, random)
    now = N::Outcome.of(treatment, {})
    figures = N.figures(treatment, R::Units::MM).sample(4, random: random)
    figures.each { |figure| hold_figure(now, figure, random) }
    figures.size
  end

  def hold_figure(now, figure, random)
    look = [N::WHOLE, N::COUNTED].sample(random: random)
    near = N.near(now, figure, look)
    {-1 => near.below, 1 => near.above}.each do |way, edge|
      reach = edge ? (edge.apart / figure.step).to_i : reach(now, figure, way, look)
      assert_other(now, figure, reach * way, look) if edge
      between = reach - (edge ? 1 : 0)
      steps = (between <= TRIED) ? (1..between).to_a : Array.new(TRIED) { random.rand(1..between) } + [between]
      steps.each { |step| assert_same(now, figure, step * way, look) }
    end
  end

  def reach(now, figure, way, look)
    most = figure.fullness? ? 50 : [(figure.at(now.treatment).abs * look.share).floor, N::REACH].max
    way.negative? ? figure.room_below(now.treatment, most) : most
  end

  # Reckoned from nothing: a name makes another treatment of it, which remembers nothing of this one.
  def outcome(now, figure, step) = N::Outcome.of(figure.moved(now.treatment, step).with(name: "anew"), {})

  def told(now, figure, step) = "#{figure.path} #{figure.at(now.treatment)} by #{step}: #{now.treatment.inspect}"

  def assert_same(now, figure, step, look)
    assert outcome(now, figure, step)&.same?(now, look.ordered), -> { told(now, figure, step) }
  end

  def assert_other(now, figure, step, look)
    refute outcome(now, figure, step)&.same?(now, look.ordered), -> { told(now, figure, step) }
  end
end
