# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A small part to be cut beside the curtains.
      class PartForm
        R = Reckoning
        attr_reader :problems, :kept

        # @param job [Work::Job]
        # @param cloth [String] the cloth's id
        # @param params [Hash]
        def initialize(job, cloth, params)
          @kind, @params, @unit, @problems = R::SmallParts[params["kind"].to_s], params, job.unit, {}
          @kept = @kind ? read(job, cloth) : nil
        end

        def valid? = !@kind.nil? && problems.empty?

        private

        def read(job, cloth)
          fields =
            @kind
              .fields
              .names
              .map(&:to_s)
              .reject { |name| @params[name].to_s.strip.empty? }
              .to_h do |name|
                [name, @kind.fields.fetch(name.to_sym).kind.take(@params[name].to_s.strip, @unit)]
              end
          place = R::Problems.new
          @kind.fields.read(fields, @unit, place)
          place.to_a.each { |problem| problems[problem.at.delete_prefix("/")] = problem }
          {"id" => free_id(job), "kind" => @kind.kind, "cloth" => cloth}.merge(fields)
        end

        def free_id(job) =
          (1..)
            .lazy
            .map { |number| "#{@kind.kind}-#{number}" }
            .find { |id| job.small_parts.none? { |part| part.id == id } }
      end
    end
  end
end
