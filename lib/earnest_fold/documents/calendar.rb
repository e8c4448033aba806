# frozen_string_literal: true

require "icalendar"
require "icalendar/tzinfo"

module EarnestFold
  module Documents
    # The diary as iCalendar (RFC 5545), for any calendar that takes a feed or a file; its times carry the workroom's
    # zone.
    class Calendar
      Event = Reckoning::Value.define(:uid, :from, :to, :summary, :description)

      # @param events [Array<Event>]
      # @param zone [String] as in the time zone database
      # @param name [String] the house's
      def initialize(events, zone, name)
        @events, @zone, @name = events, zone, name
      end

      # @return [String]
      #
      #   Documents::Calendar.new([], "UTC", "Saltmarsh Lane").text.lines.first.strip # => "BEGIN:VCALENDAR"
      def text
        calendar = Icalendar::Calendar.new
        calendar.prodid = "-//Earnest Fold//Diary//EN"
        calendar.append_custom_property("X-WR-CALNAME", @name)
        if @events.any? && @zone != "UTC"
          calendar.add_timezone(TZInfo::Timezone.get(@zone).ical_timezone(@events.first.from))
        end
        @events.each { |event| calendar.add_event(made(event)) }
        calendar.to_ical
      end

      private

      def made(event)
        Icalendar::Event.new.tap do |one|
          one.uid = event.uid
          one.dtstart, one.dtend =
            [event.from, event.to].map { |time| Icalendar::Values::DateTime.new(time.to_datetime, "tzid" => @zone) }
          one.summary, one.description = event.summary, event.description
        end
      end
    end
  end
end
