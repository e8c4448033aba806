# frozen_string_literal: true

module EarnestFold
  module Work
    # Measuring with a distance meter: in which order a maker goes round a window, whose turn it is, and which reading
    # is proposed for it, with what speaks against it. Nobody but a person takes one.
    class Metering
      R = Reckoning
      STATION = "measure"
      DROPS = Readings.paths({}).freeze
      # Two readings of the same thing by the same meter in so many seconds are a hand that pressed twice.
      AT_ONCE = 2
      # Readings of one place agree as far as a tape is read.
      AGREE = R::Judgement::NearEdge::MISREAD
      # Lengths of the station that nobody measures at the window.
      UNMEASURED = /\A(ordered|drop\.points)\.|\Aease\z/
      private_constant :UNMEASURED
      # A reading and the field it is proposed for (nil: none is open). Doubts are codes with their facts.
      Proposal = R::Value.define(:reading, :path, :doubts)

      # @param entry [Work::Treatment, Work::Alteration]
      # @param waiting [Array<Store::MeterReadings::Reading>] in the order in which they came
      # @param taken [Array<Store::MeterReadings::Reading>] at this work already
      def initialize(entry, waiting:, taken:)
        @spec, @altered, @waiting, @taken = entry.record.spec, entry.altered_as, waiting, taken
      end

      # @return [Array<Proposal>] each reading with the field that would be its own
      #
      #   Work::Metering.new(work, waiting: [], taken: []).proposals # => []
      def proposals = @proposals ||= @waiting.each_with_index.map { |one, index|
        path = turns[index]
        Proposal.new(reading: one, path: path, doubts: doubts(one, path, index.zero? ? nil : @waiting[index - 1]))
      }

      # @return [String, nil] the field whose turn it is; nil where everything that every window has is there
      #
      #   Work::Metering.new(work, waiting: [], taken: []).turn # => nil
      def turn = turns.first

      # @return [Boolean] whether the drops that were taken are so far apart that one is asked for again
      #
      #   Work::Metering.new(work, waiting: [], taken: []).again? # => false
      def again? = !again.nil?

      # @return [Array<String>] every length that is measured here, those of the round first
      #
      #   Work::Metering.new(work, waiting: [], taken: []).places.first # => "support.length"
      def places
        declared = SpecFields.declared(@spec).of_station(STATION).flat_map { |field| under(field) }
        (round + more_drops + declared.select { |path| length?(path) && measured?(path) }).uniq
      end

      # @return [R::Length, nil] what stands in a field
      #
      #   Work::Metering.new(work, waiting: [], taken: []).stands("support.length") # => 1800 mm
      def stands(path) = (text = SpecFields.stored(path, @spec)) && R::LengthReader.read(text, R::Units::CM)

      private

      # As a maker goes round: what carries it first, then the drops from left to right.
      def round
        return lengths_of_alteration if @altered
        return ["opening.cover", "support.length", *DROPS] if @spec.dig("opening", "kind") == "dress_pair"

        ["support.length", *DROPS]
      end

      # What is there is measured before what is wanted is said.
      def lengths_of_alteration
        own = R::Alterations.fetch(@altered).fields.of_station(STATION).map(&:key)
        own.select { |path| length?(path) }.sort_by { |path| (path == "wanted_length") ? 1 : 0 }
      end

      def turns = @turns ||= round.reject { |path| stands(path) }.then { |open| open.empty? ? [*again] : open }

      # Drops that are far apart are asked for again, the one that stands farthest off first; twice the same, it is so.
      # @return [String, nil]
      def again
        drops = DROPS.to_h { |path| [path, stands(path)] }.compact
        return if @altered || drops.size < DROPS.size || drops.values.minmax.reduce(:-).abs <= R::Drop::WIDE_SPREAD

        middle = drops.values.sort[drops.size / 2]
        off = drops.select { |_, length| (length - middle).abs > R::Drop::WIDE_SPREAD }
        off = drops.except(drops.key(middle)) if off.empty?
        off.reject { |path, _| sure?(path) }.max_by { |_, length| (length - middle).abs }&.first
      end

      def sure?(path)
        mine = @taken.select { |one| one.path == path }.map { |one| length(one) }
        mine.size > 1 && (mine[-1] - mine[-2]).abs <= AGREE
      end

      def more_drops = Readings.paths(@spec) - DROPS

      def under(field)
        inner = field.kind.inner(@spec[field.key])
        inner ? inner.paths(@spec[field.key]).map { |path| "#{field.key}.#{path}" } : [field.key]
      end

      # Not what was ordered or is chosen, and of the wall what is there.
      def measured?(path)
        return false if path.match?(UNMEASURED)
        return @spec.dig(*path.split(".").first(2)) if path.start_with?("wall.")
        return %w[pole rod].include?(@spec.dig("support", "kind")) if path == "support.diameter"

        path != "opening.cover"
      end

      def length?(path) =
        SpecFields.asked?(path, @spec) && SpecFields.kind(path, @spec).is_a?(R::FieldKinds::LengthKind)

      def length(reading) = R::LengthReader.read(reading.length, R::Units::CM)

      def doubts(reading, path, before)
        [pressed_twice(reading, before), off_the_others(reading, path)].compact
      end

      def pressed_twice(reading, before)
        return unless before && reading.meter_id && before.meter_id == reading.meter_id

        [:pressed_twice, {}] if reading.at - before.at <= AT_ONCE && (length(reading) - length(before)).abs <= AGREE
      end

      # A drop far from those beside it was read off something else, or the floor falls.
      def off_the_others(reading, path)
        others = DROPS.include?(path) ? (DROPS - [path]).filter_map { |other| stands(other) } : []
        off = others.map { |other| (length(reading) - other).abs }.max
        [:off_the_others, {by: off}] if off && off > R::Drop::WIDE_SPREAD
      end
    end
  end
end
