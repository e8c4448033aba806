# frozen_string_literal: true

require "tzinfo"

module EarnestFold
  module Web
    # The clock on the workroom's wall: moments are kept as they are, and told as it shows them.
    class WallClock
      # @param zone [String] "Europe/Lisbon": the house's own
      def initialize(zone)
        @zone = TZInfo::Timezone.get(zone)
      end

      # @return [Date]
      def today = local(Time.now).to_date

      # @param at [Time]
      # @return [String] "14:05"
      def time(at) = local(at).strftime("%H:%M")

      # @return [String] "3 Mar 2026"
      def day(at) = Words.date(local(at), :dated)

      # @return [String] "2026-03-03", to be kept
      def date(at) = local(at).strftime("%Y-%m-%d")

      # @return [String] "3 March 2026", as it stands on paper
      def long_day(at) = Words.date(local(at), :long)

      # @return [String] "3 Mar 2026, 14:05"
      def moment(at) = "#{day(at)}, #{time(at)}"

      # @return [String] the same for a machine: exact, with its zone
      def machine(at) = at.utc.strftime("%Y-%m-%dT%H:%M:%SZ")

      private

      def local(at) = @zone.to_local(at)
    end
  end
end
