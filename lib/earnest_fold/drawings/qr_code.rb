# frozen_string_literal: true

require "rqrcode_core"

module EarnestFold
  module Drawings
    # A text as a square code that a phone reads.
    class QrCode
      # White round it, in squares, without which it isn't read.
      QUIET = 4

      # @param text [String]
      # @param square [Integer] how large one of its squares is drawn
      def initialize(text, square)
        @rows, @square = RQRCodeCore::QRCode.new(text, level: :m).modules, square
      end

      # @return [String] SVG
      #
      #   Drawings::QrCode.new("1", 2).to_s[0, 4] # => "<svg"
      def to_s
        side = @rows.size + 2 * QUIET
        %(<svg class="qr-code" viewBox="0 0 #{side} #{side}" width="#{side * @square}" height="#{side * @square}" ) +
          %(role="img" aria-hidden="true"><rect width="#{side}" height="#{side}" fill="#fff"/>) +
          %(<path fill="#000" d="#{dark.join}"/></svg>)
      end

      private

      def dark
        @rows.each_with_index.flat_map do |row, down|
          row.each_with_index.select(&:first).map { |_, across| "M#{across + QUIET} #{down + QUIET}h1v1h-1z" }
        end
      end
    end
  end
end
