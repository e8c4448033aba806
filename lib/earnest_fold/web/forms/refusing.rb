# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A form that refuses fields: each with its problem, by name.
      module Refusing
        # @return [Hash{String => Reckoning::Problem}] by the field's name
        def problems = @problems ||= {}

        def valid? = problems.empty?

        # @return [nil] so that whoever reads a field can answer with it
        def refuse(name, code, **data)
          problems[name] = Reckoning::Problem.new(at: name, code: code, data: data)
          nil
        end
      end
    end
  end
end
