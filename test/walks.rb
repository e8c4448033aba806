# frozen_string_literal: true

# What has very many cases is walked whole by `bin/test thorough`, and where its file or its part is asked for; a run of
# everything takes some of them, others each time. WALK_SEED=… takes the same ones again.
module Walks
  WHOLE = ENV["WALKS"] != "some"
  SEED = Integer(ENV.fetch("WALK_SEED", "7"), 10)

  module_function

  # @param cases [Enumerable]
  # @param few [Integer] of how many a run of everything takes
  # @return [Array] in their order
  def some(cases, few)
    all = cases.to_a
    return all if WHOLE

    all.each_index.to_a.sample(few, random: Random.new(SEED)).sort.map { |index| all[index] }
  end

  # @param share [Rational] of the tests of each class that extends it, as a run of everything takes them
  # @return [Module]
  def tests(share) =
    Module.new do
      define_method(:runnable_methods) { super().then { |all| all & Walks.some(all.sort, (all.size * share).ceil) } }
    end

  # @return [Range] the places of cases that need what came before them: those that are looked at
  def stretch(cases, few)
    return 0...cases.size if WHOLE

    from = Random.new(SEED).rand(0..[cases.size - few, 0].max)
    from...[from + few, cases.size].min
  end
end
