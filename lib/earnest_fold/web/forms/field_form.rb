# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The base of every form whose fields save as they are made: what was typed into each field, taken where it is
      # new, readable and still as it was seen, refused with its problem or shown beside what somebody else left. A
      # form says which fields it has, and of each its `kind` and what is `kept` of it.
      class FieldForm
        include Merging
        include Refusing

        R = Reckoning

        # @param params [Hash, nil] what was typed; nil before anything was
        # @param unit [Reckoning::Unit] the one the page was shown in
        # @param seen [Boolean] whether the page showed what is kept now, so that a field of which it says nothing was
        #   seen as it is
        def initialize(params, unit, seen: false)
          @params, @unit = params || {}, unit
          @saw = Saw.new(@params) { |name| seen ? shown(name) : nil }
        end

        # @return [String, nil] what its fields are of, where others have some that are called so
        def of = nil

        # @return [String] what stands in a field: as typed, else as kept
        def text(name) = @params[name].is_a?(String) ? @params[name] : shown(name)

        # @return [String] what is kept of a field, as a person reads it
        def shown(name) = kind(name).show(kept(name), unit_of(name))

        # @param name [String]
        # @return [Boolean] whether a plain number is typed there as a rule
        def plain?(name) = kind(name).plain_number?(unit_of(name))

        # @param name [String]
        # @return [Integer] how many letters it takes
        def most(name) = kind(name).longest

        # @return [Boolean] whether everything typed can be taken
        def valid? = problems.empty? && clashes.empty?

        # @param name [String]
        # @return [Reckoning::FieldKinds::Kind]
        def kind(name) = field(name).kind

        # @api private
        # @return [Reckoning::Field] as its record declares it
        def field(name) = raise(NotImplementedError)

        # @param params [Hash]
        # @param version [Integer, nil] of what is kept; nil for something new
        # @return [Boolean] whether a page of that version sends them
        def self.seen?(params, version) = version.nil? || (params && params["version"] == version.to_s)

        private

        def in_words(name, text) = Words.choice(kind(name), text)

        # @return [Object, nil] what is kept of a field
        def kept(name) = raise(NotImplementedError)

        def unit_of(_name) = @unit

        # @return [String, nil] nil where nothing was sent of it
        def said(name)
          text = @params[name]
          return unless text.is_a?(String)

          (text.include?("\r") ? text.gsub("\r\n", "\n") : text).strip
        end

        # @return [Boolean] whether it was changed here, and still is as it was then
        def anew?(name) = (text = said(name)) && mine?(name, text)

        # @param record [Hash] as it is kept
        # @param key [String] where the field stands in it
        # @return [Hash] a copy with what was typed into the field; the same where nothing can be taken
        def taken(record, name, key = name)
          return record unless anew?(name)
          return emptied(record, name, key) if said(name).empty?

          value = readable(name, said(name))
          value.nil? ? record : put(record, key, value)
        end

        def emptied(record, _name, key) = record.except(key)

        def put(record, key, value) = record.merge(key => value)

        # @return [Object, nil] to be kept; nil where it is refused
        def readable(name, text)
          return refuse(name, :too_much_text, most: kind(name).longest) if text.size > kind(name).longest

          value = kind(name).take(text, unit_of(name))
          code, facts = doubt(name, value)
          code ? refuse(name, code, **facts) : value
        end

        def doubt(name, value)
          found = kind(name).doubt(value, unit_of(name)) and return found

          place = R::Problems.new
          kind(name).read(value, unit_of(name), place)
          place.to_a.first&.then { |problem| [problem.code, problem.data] }
        end
      end
    end
  end
end
