# frozen_string_literal: true

require "mail"

module EarnestFold
  module Documents
    # A letter that came back: what a mail server says of it (a delivery status, as RFC 3464 has it). Which letter it
    # was is told by the number that it went under.
    class Bounce < Reckoning::Value.define(:workroom_id, :letter_id, :to)
      # The most that is looked at: the letter itself may hang on it.
      LARGEST = 2 * 1024 * 1024
      NUMBER = /^message-id:\s*<letter-(\d{1,9})-(\d{1,9})@/i
      FOR_GOOD, TO = /^action:\s*failed\b/i, /^final-recipient:\s*rfc822;\s*(\S{1,200})/i
      SENT_ON = %w[message/rfc822 text/rfc822-headers message/rfc822-headers].freeze

      # @param text [String] the message, as it came
      # @return [Bounce, nil] nil where it isn't one, or tells of a delay alone
      #
      #   Documents::Bounce.read("no bounce at all") # => nil
      def self.read(text)
        parts = Mail.new(text).all_parts
        status = body(parts, ["message/delivery-status"])
        number = NUMBER.match(body(parts, SENT_ON)) if FOR_GOOD.match?(status)
        number && new(workroom_id: Integer(number[1], 10), letter_id: Integer(number[2], 10), to: status[TO, 1].to_s)
      rescue Mail::Field::FieldError, EncodingError, ArgumentError
        nil
      end

      # @api private
      def self.body(parts, kinds)
        parts.select { |part| kinds.include?(part.mime_type) }.map { |part| part.body.to_s.scrub("?") }.join("\n")
      end
    end
  end
end
