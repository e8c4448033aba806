# frozen_string_literal: true

require "openssl"

module EarnestFold
  module Web
    # What a code on a label says: which page it opens, in few letters, signed for the workroom that it is of. One that
    # was misread, made up, or is another workroom's opens nothing.
    module ShortCode
      # By the letter that it begins with: the page that it opens, given its numbers.
      OPENS = {
        "p" => ->(piece) { Paths.piece(piece) },
        "h" => ->(job, work) { Paths.station(job, work, "hanging") },
        "b" => ->(job, work) { Paths.bench(job, work) }
      }.freeze
      WELL_MADE = /\A(?<what>[phb])(?<numbers>[0-9a-z]{1,7}(?:-[0-9a-z]{1,7})?)\.(?<signed>[A-Za-z0-9_-]{10})\z/
      SIGNED, RADIX = 10, 36

      module_function

      # @param secret [String] the application's
      # @param workroom [Integer]
      # @param what [String] of OPENS
      # @return [String]
      def of(secret, workroom, what, *numbers)
        said = "#{what}#{numbers.map { |number| number.to_s(RADIX) }.join("-")}"
        "#{said}.#{signed(secret, workroom, said)}"
      end

      # @param text [String] as it was scanned
      # @return [String, nil] the page that it opens
      def page(secret, workroom, text)
        match = WELL_MADE.match(text.to_s) or return
        said = "#{match[:what]}#{match[:numbers]}"
        return unless OpenSSL.secure_compare(match[:signed], signed(secret, workroom, said))

        numbers, opens = match[:numbers].split("-"), OPENS.fetch(match[:what])
        opens.call(*numbers.map { |number| Integer(number, RADIX) }) if opens.arity == numbers.size
      end

      # @api private
      def signed(secret, workroom, said)
        print = OpenSSL::HMAC.digest("SHA256", secret, "label #{workroom} #{said}")
        [print].pack("m0").tr("+/", "-_")[0, SIGNED]
      end
    end
  end
end
