# frozen_string_literal: true

require "mail"

module EarnestFold
  module Documents
    # What the stand-in of the post took, as files of a folder: to be looked at.
    class Outbox
      MOST = 40
      NAMED = /\A[\w.-]{1,80}\.eml\z/
      Taken = Reckoning::Value.define(:file, :to, :subject, :text, :papers, :bytes)

      # @param folder [String]
      def initialize(folder)
        @folder = folder
      end

      # @return [Array<Taken>] the last first
      def letters = Dir[File.join(@folder, "*.eml")].max(MOST).map { |path| read(path) }

      # @param file [String] its name
      # @return [Taken, nil]
      def find(file)
        path = File.join(@folder, file)
        read(path) if NAMED.match?(file) && File.file?(path)
      end

      private

      def read(path)
        bytes = File.binread(path)
        mail = ::Mail.read_from_string(bytes)
        Taken.new(
          file: File.basename(path),
          to: mail.to.to_a.join(", "),
          subject: mail.subject.to_s,
          text: (mail.text_part || mail).decoded.to_s.dup.force_encoding("UTF-8").scrub,
          papers: mail.attachments.map(&:filename),
          bytes: bytes
        )
      end
    end
  end
end
