# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A small part to be cut beside the curtains: what was typed for one more of its kind.
      class PartForm < FieldForm
        # What is asked for of it. What else a kind can be is decided where it comes with a treatment.
        ASKED = R::SmallParts.to_h { |kind|
          [kind.kind, kind.fields.reject { |field| field.kind.words }.map(&:key).freeze]
        }.freeze

        # @return [String] which kind of part it is
        attr_reader :kind_of_part

        # @return [String] the id of the cloth that it is cut from
        attr_reader :cloth

        # @param job [Work::Job]
        # @param cloth [String] the cloth's id
        # @param kind [String] one of ASKED
        # @param params [Hash, nil] what was typed; nil before anything was
        def initialize(job, cloth, kind, params = nil)
          super(params, job.unit, seen: true)
          @job, @cloth, @kind_of_part = job, cloth, kind
          @part = params ? read : {}
        end

        # @param job [Work::Job]
        # @param cloth [String] the cloth's id
        # @param params [Hash] what was typed
        # @return [PartForm, nil] nil where that is no kind of part
        def self.sent(job, cloth, params)
          kind = params["kind"]
          new(job, cloth, kind, params) if ASKED.key?(kind)
        end

        # @return [Array<String>] its fields
        def names = ASKED.fetch(kind_of_part)

        # @api private
        def field(name) = R::SmallParts.fetch(kind_of_part).fields.fetch(name.to_sym)

        # @return [Hash] to be kept with the job
        def to_be_kept = {"id" => free_id, "kind" => kind_of_part, "cloth" => cloth}.merge(@part)

        private

        def read
          part = names.reduce({}) { |so_far, name| taken(so_far, name) }
          wanting(part).each { |problem| refuse(problem.at.delete_prefix("/"), problem.code, **problem.data) }
          part
        end

        # What has to be given and wasn't; what was refused already has its own words.
        def wanting(part)
          place = R::Problems.new
          R::SmallParts.fetch(kind_of_part).fields.read(part, @unit, place)
          place.to_a.reject { |problem| problems.key?(problem.at.delete_prefix("/")) }
        end

        # How many there are as a rule stands there from the first; lengths are measured.
        def kept(name) = field(name).default.then { |usual| usual.is_a?(Integer) ? usual : nil }

        def free_id =
          (1..)
            .lazy
            .map { |number| "#{kind_of_part}-#{number}" }
            .find { |id| @job.small_parts.none? { |part| part.id == id } }
      end
    end
  end
end
