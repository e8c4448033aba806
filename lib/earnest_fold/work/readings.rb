# frozen_string_literal: true

module EarnestFold
  module Work
    # The three places at which a drop is taken. The spec lists the readings that there are, and beside them where
    # each was taken, so that one left out moves no other.
    module Readings
      PLACES = %w[left middle right].freeze
      # Asked for whatever was read.
      ALWAYS = PLACES.map { |place| "drop.readings.#{place}".freeze }.freeze
      # A reading at a place is a field by itself, which may be empty.
      FIELD = Reckoning::Field.new(name: :reading, kind: Reckoning::DropAsked::READING, default: nil)

      module_function

      # @return [Boolean] whether a field is one of the readings
      #
      #   Work::Readings.path?("drop.readings.left") # => true
      def path?(path) = path.start_with?("drop.readings.")

      # @return [Boolean] whether it is one of the fields that there are
      #
      #   Work::Readings.there?("drop.readings.left", work.record.spec) # => true
      def there?(path, spec) = ALWAYS.include?(path) || paths(spec).include?(path)

      # @return [Array<String>] the three places, one for each reading beyond them, and one more once those are there
      #
      #   Work::Readings.paths(work.record.spec).size # => 4
      def paths(spec)
        taken = all(spec).keys
        more = (PLACES - taken).empty? ? [(taken.size + 1).to_s] : []
        (PLACES + taken + more).uniq.map { |place| "drop.readings.#{place}" }
      end

      # @return [Hash{String => String}] by place
      #
      #   Work::Readings.all({"drop" => {"readings" => ["2 m", "201 cm"]}}) # => {"left"=>"2 m", "middle"=>"201 cm"}
      def all(spec)
        drop = spec.fetch("drop", {})
        readings = drop.fetch("readings", [])
        places = drop.fetch("taken_at") { PLACES + (4..readings.size).map(&:to_s) }
        places.zip(readings).to_h.compact
      end

      # @return [String, nil] the reading at a place, as it is kept
      #
      #   Work::Readings.at({"drop" => {"readings" => ["2 m"]}}, "drop.readings.left") # => "2 m"
      def at(spec, path) = all(spec)[path.split(".").last]

      # @return [Boolean] whether it is the only reading there is
      #
      #   Work::Readings.last?({"drop" => {"readings" => ["2 m"]}}, "drop.readings.left") # => true
      def last?(spec, path) = all(spec).keys == [path.split(".").last]

      # @return [Hash] a copy with the reading, or without for nil; the three places first, in their order
      #
      #   Work::Readings.set({}, "drop.readings.left", "2 m") # => {"drop"=>{"readings"=>["2 m"], "taken_at"=>["left"]}}
      def set(spec, path, value)
        readings = all(spec).merge(path.split(".").last => value).compact
        taken = PLACES.select { |place| readings.key?(place) } + (readings.keys - PLACES)
        spec.merge(
          "drop" => spec.fetch("drop", {}).merge("readings" => readings.values_at(*taken), "taken_at" => taken)
        )
      end
    end
  end
end
