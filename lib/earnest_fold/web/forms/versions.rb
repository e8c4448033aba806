# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a person typed while somebody else changed the same treatment: each field they changed, beside what stands there now.
      class Versions
        Both = Reckoning::Value.define(:path, :label, :mine, :theirs)

        # @param now [Hash] the spec as the other person left it
        # @param shown [Hash, nil] the spec that this person was shown; nil where nobody has kept it
        # @param paths [Array<String>] the fields of the station
        # @param params [Hash{String => String}]
        # @param unit [Reckoning::Unit]
        def initialize(now, shown, paths, params, unit)
          @now, @shown, @paths, @params, @unit = now, shown || now, paths, params, unit
        end

        # @return [Array<Both>]
        def all
          @paths.filter_map do |path|
            mine = @params[path]
            next unless mine.is_a?(String) && mine.strip != text(path, @shown) && mine.strip != text(path, @now)

            Both.new(path: path, label: Words.field_label(path), mine: mine.strip[0, 200], theirs: text(path, @now))
          end
        end

        private

        # A heading of another kind has other fields: there nothing stands.
        def text(path, spec)
          Readings.shown(path, spec, @unit)
        rescue KeyError
          ""
        end
      end
    end
  end
end
