# frozen_string_literal: true

module EarnestFold
  module Web
    module Screens
      # The read-back: each length of a job with both its ends named and in both units, to be confirmed with the client.
      class ReadBack
        R = Reckoning
        # One length: what it is, as typed, and in both tapes.
        BothWays = R::Value.define(:label, :typed, :metric, :inches)
        ACROSS = %w[support.length return_left return_right overlap ease].freeze

        attr_reader :sheet

        def initialize(sheet)
          @sheet = sheet
        end

        def job = sheet.job

        def unit = sheet.unit

        def page_title = Words.say("read_back.title", title: job.title)

        # @return [Array<Array(String, Array<BothWays>)>] each window with its lengths, and somebody's own curtains with
        #   theirs
        def windows
          sheet.works.map do |entry|
            [
              [entry.window.room, entry.window.name].reject(&:empty?).join(", "),
              entry.once(:read_back) { entry.altered_as ? altered(entry) : lines(entry.record.spec) }
            ]
          end
        end

        private

        def lines(spec)
          (ACROSS.map { |path| [Words.field_label(path), Work::SpecFields.stored(path, spec)] } + drops(spec))
            .select(&:last)
            .map { |label, typed| line(label, typed) }
        end

        # What was asked for says from which point to which, in the customer's words.
        def altered(entry)
          spec = entry.record.spec
          ends =
            %w[length_from length_to].map { |name| spec[name].to_s.empty? ? Words.say("alter.not_said") : spec[name] }
          wanted = Words.say("read_back.wanted", from: ends.first, to: ends.last)
          lengths_of(entry)
            .map { |path| [(path == "wanted_length") ? wanted : Words.field_label(path), spec[path]] }
            .select(&:last)
            .map { |label, typed| line(label, typed) }
        end

        # What was measured of it, and what is wanted after it.
        def lengths_of(entry)
          measured = entry.fields.of_station("measure").select { |field| field.kind.is_a?(R::FieldKinds::LengthKind) }
          measured.map(&:key)
        end

        # Each drop says from which point to which, or that nobody has said.
        def drops(spec)
          Work::Readings.all(spec).map do |place, typed|
            ends =
              %w[measured_from measured_to].map { |key| Words.say("points.#{spec.dig("drop", key) || "not_said"}") }
            [
              Words.say(
                "read_back.drop",
                place: Words.field_label("drop.readings.#{place}"),
                from: ends.first,
                to: ends.last
              ),
              typed
            ]
          end
        end

        def line(label, typed)
          length = R::LengthReader.read(typed, unit)
          BothWays.new(
            label: label,
            typed: typed,
            metric: Words.with_unit(length, R::Units::CM),
            inches: Words.with_unit(length, R::Units::IN)
          )
        end
      end
    end
  end
end
