# frozen_string_literal: true

module EarnestFold
  module Web
    # How many bytes a request may bring.
    module Sizes
      FORM = 256 * 1024
      # A photograph with the form round it.
      PHOTOGRAPH = Documents::Photograph::LARGEST + 64 * 1024

      # The most that anything may bring.
      MOST = [FORM, PHOTOGRAPH, Documents::JobArchive::LARGEST].max + 64 * 1024

      module_function

      # @param path [String] to which it is sent
      # @return [Integer] a job document may be larger than what a form sends
      def most(path)
        case path
        when Paths.bounced then Documents::Bounce::LARGEST
        when Paths.import then Documents::JobArchive::LARGEST
        when %r{/came-in/photographs\z} then PHOTOGRAPH
        else FORM
        end
      end
    end
  end
end
