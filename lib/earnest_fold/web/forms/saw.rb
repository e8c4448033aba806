# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What stood in the fields of a page when somebody began to change them. A page's journal says it field by
      # field; a form that is sent whole says by which version it was shown.
      class Saw
        # @param params [Hash] as they were sent
        # @yieldparam name [String] of a field of which the page says nothing
        # @yieldreturn [String, nil] what it showed by the version of the page; nil where nobody knows any more
        def initialize(params, &by_version)
          @said = params["saw"].is_a?(Hash) ? params["saw"] : {}
          @by_version = by_version
        end

        # @return [Array<String>] the fields of which the page says it
        def names = @said.keys

        # @return [String, nil] its lines as they are kept, not as a browser sends them
        def text(name) = @said[name].is_a?(String) ? @said[name].gsub("\r\n", "\n") : @by_version.call(name)
      end
    end
  end
end
