# frozen_string_literal: true

module EarnestFold
  module Documents
    # Tags for finished curtains, one for each: maker, cloth, batch, care, flame treatment, and the drop.
    class TagPdf
      # @param title [String]
      # @param tags [Array<Array<String>>] the lines of each
      def initialize(title, tags)
        @title, @tags = title, tags
      end

      # @return [String] the file
      def render = Paper.new(@title).labels(@tags, across: 2, down: 5).render
    end
  end
end
