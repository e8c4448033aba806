# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A new job.
      class JobForm
        LONGEST = Store::Jobs::FIELDS.fetch(:title).kind.longest
        attr_reader :typed

        def initialize(params)
          @typed = {"title" => params["title"].to_s.strip, "unit" => params["unit"].to_s}
        end

        # @return [Symbol, nil]
        def problem
          return :title_missing if typed["title"].empty?
          return :title_too_long if typed["title"].size > LONGEST

          :unit_unknown unless Reckoning::Units::ALL.key?(typed["unit"])
        end

        def valid? = problem.nil?

        def values = {title: typed["title"], unit: typed["unit"]}
      end
    end
  end
end
