# frozen_string_literal: true

require "digest"

module EarnestFold
  module Web
    module Screens
      # What a distance meter read, at the field whose turn it is, to be taken by eye.
      class Metering
        R = Reckoning
        # @return [Work::Job]
        attr_reader :sheet
        # @return [Work::Treatment, Work::Alteration]
        attr_reader :entry
        # @return [Array<Store::Meters::Meter>]
        attr_reader :meters
        # @return [Array<Store::MeterReadings::Reading>] what could be no length
        attr_reader :refused
        # @return [Forms::TypedReadingForm, nil] with what can't be taken
        attr_reader :form

        # @param metering [Work::Metering]
        # @param unit [R::Unit] the page is shown in
        def initialize(sheet, entry, metering, unit, meters:, refused:, types_in: nil, form: nil)
          @sheet, @entry, @metering, @unit = sheet, entry, metering, unit
          @meters, @refused, @form, @types_in = meters, refused, form, types_in
        end

        # It has no part of a curtain.
        def part = nil

        attr_reader :unit

        # @return [String] the state of all that is shown
        def state = Digest::SHA256.hexdigest(
          [entry.record.version, unit.name, proposals.map { |one| one.reading.id }, refused.map(&:id)].inspect
        )[0, 16]

        def proposals = @metering.proposals

        # @return [Work::Metering::Proposal, nil]
        def first = proposals.first

        def then_come = proposals.drop(1)

        # @return [String, nil]
        def turn = @metering.turn

        # @return [String] what is to be measured now
        def says
          return Words.say("meter.all_there") unless turn
          return Words.say("meter.again", field: label(turn)) if @metering.again?

          Words.say("meter.now", field: label(turn))
        end

        # @return [Array<String>] other fields that it could be
        def places = @metering.places - [first&.path]

        def label(path) = Words.field_label(path)

        # @return [String] as it is read: in the unit of the page, and as the meter said it where that is another
        def shown(reading)
          length = R::LengthReader.read(reading.length, R::Units::CM)
          length ? Words.with_unit(length, unit) : reading.length
        end

        # @return [String, nil] what stands in a field
        def stands(path) = @metering.stands(path)&.then { |length| Words.with_unit(length, unit) }

        # @return [Array<String>] what speaks against the first one
        def doubts = first ? first.doubts.map { |code, facts| doubt(code, facts) } : []

        # @return [Boolean] whether it should rather be laid aside
        def doubtful? = doubts.any?

        def why(reading) = Words.say("meter.why.#{reading.why}")

        # @return [String] the value of a button that takes the first one as a field
        def takes(path) = "#{first.reading.id} #{path}"

        # Units that a meter types in where it names none.
        def units = R::LengthReader::SIZES.keys

        def types_in?(name) = name == (@types_in || unit.name)

        # @param to [String, nil]
        def path(to = nil) = Paths.readings_at(sheet.job.id, entry.id, to)

        # @return [String] of the station
        def station = Paths.station(sheet.job.id, entry.id, Work::Metering::STATION)

        private

        def doubt(code, facts) =
          Words.say("meter.doubts.#{code}", **facts.transform_values { |length| Words.with_unit(length, unit) })
      end
    end
  end
end
