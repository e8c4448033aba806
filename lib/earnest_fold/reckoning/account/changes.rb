# frozen_string_literal: true

module EarnestFold
  module Reckoning
    module Account
      # What changed between what went out and what it comes to now.
      module Changes
        # A line then and now; nil where it wasn't there.
        LineChange = Value.define(:sort, :name, :before, :after)

        module_function

        # @param before [Array<Charge>]
        # @param after [Array<Charge>]
        # @return [Array<LineChange>] those that differ, in the order of the lines now, then those that are gone
        #
        #   Account::Changes.between(statement.lines, statement.lines) # => []
        def between(before, after)
          then_by, now_by =
            [before, after].map do |lines|
              lines.group_by { |line| [line.sort, line.name] }.transform_values { |same| Money.sum(same.map(&:amount)) }
            end
          (now_by.keys | then_by.keys)
            .reject { |key| then_by[key] == now_by[key] }
            .map do |sort, name|
              LineChange.new(sort: sort, name: name, before: then_by[[sort, name]], after: now_by[[sort, name]])
            end
        end
      end
    end
  end
end
