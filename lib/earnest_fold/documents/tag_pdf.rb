# frozen_string_literal: true

module EarnestFold
  module Documents
    # Labels to be cut apart: tags for finished curtains (maker, cloth, batch, care, and the drop), and for pieces on
    # the shelf. Each has a code that opens its page.
    class TagPdf
      # @param title [String]
      # @param tags [Array<Array<String>>] the lines of each
      # @param opens [Array<String, nil>] the address that each opens
      def initialize(title, tags, opens = [])
        @title, @tags, @opens = title, tags, opens
      end

      # @return [String] the file
      #
      #   Documents::TagPdf.new("Shelf", [["R1", "25 m"]]).render[0, 5] # => "%PDF-"
      def render = Paper.new(@title).labels(@tags, across: 2, down: 5, opens: @opens).render
    end
  end
end
