# frozen_string_literal: true

require "test_helper"
require "tmpdir"

# The registries: one file a kind, under its own name, keeping its contract.
class RegistryTest < EarnestFoldTest
  R = EarnestFold::Reckoning

  def test_a_file_that_registers_nothing_is_told
    Dir.mktmpdir do |folder|
      File.write(File.join(folder, "stray.rb"), "")
      assert_raises(ArgumentError) { R::Registry.new.load(folder) }
    end
  end

  def test_a_name_is_taken_once_and_a_contract_kept
    registry = R::Registry.new(:kind)
    assert_raises(ArgumentError) { registry.register("x", Object.new) }
    kind = Struct.new(:kind).new("x")
    registry.register("x", kind)
    assert_raises(ArgumentError) { registry.register("x", kind) }
  end

  # Every heading, by its own example, through the document and back.
  R::Headings.each do |kind|
    define_method(:"test_heading_#{kind.kind}_keeps_the_contract") do
      problems = R::Problems.new
      values = kind.fields.read(kind.example, R::Units::CM, problems)
      assert_empty problems.to_a
      heading = kind.build(values, problems)
      span = R::Opening
        .new(kind: "one_way_left", split: 1 / 2r, cover: nil, panels: nil)
        .spans(
          R::Support.new(
            kind: "pole",
            length: R::Length.cm(150),
            diameter: R::Length.mm(28),
            projection: nil,
            carriers: nil,
            rating: nil,
            height: nil
          ),
          R::Ends.new(
            return_left: R::Length.cm(6),
            return_right: R::Length::ZERO,
            overlap: R::Length::ZERO,
            ease: R::Length::ZERO
          )
        )
        .first
      needed = heading.needed(span)
      assert_operator needed, :>=, span.finished_width
      task = R::HeadingTask.new(span: span, flat: needed, widths: 1r, seams: [])
      support = R::Support.new(
        kind: "pole",
        length: R::Length.cm(150),
        diameter: R::Length.mm(28),
        projection: nil,
        carriers: nil,
        rating: nil,
        height: nil
      )
      figures = heading.figures(task, support)
      assert_predicate figures, :any?
      assert(heading.working(task, figures).all?(R::Line))
      assert(heading.marks(task, figures).all?(R::Mark))
      assert_predicate heading, :frozen?
      assert EarnestFold::Words.say?("headings.#{kind.kind}")
    end
  end

  R::Alterations.each do |kind|
    define_method(:"test_alteration_#{kind.kind}_keeps_the_contract") do
      problems = R::Problems.new
      alteration = kind.build(kind.fields.read(kind.example, R::Units::CM, problems), problems)
      assert_empty problems.to_a
      assert_predicate alteration.figures, :any?
      assert(alteration.working.all?(R::Line))
      assert_kind_of Array, alteration.checks
    end
  end
end
