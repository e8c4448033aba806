# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # Small pictures of a job's works, as lists and the rail show them.
      module Pictures
        module_function

        # @param sheet [Work::Job]
        # @param entry [Work::AtWork]
        # @return [String] SVG: as nobody has measured it yet, where its own can't be drawn
        def silhouette(sheet, entry)
          colour = sheet.colour(entry.face)
          entry.once(:silhouette, colour) { drawn(entry, colour) }
        rescue => error
          RequestLog.note("work #{entry.id} can't be drawn", error)
          Drawings::Silhouette.new(nil, colour).to_s
        end

        # @api private
        def drawn(entry, colour) =
          entry.altered_as ? Drawings::AlteredSilhouette.new(entry.reckoning).to_s : made(entry, colour)

        def made(entry, colour) = Drawings::Silhouette.new(entry.reckoning, colour).to_s
      end
    end
  end
end
