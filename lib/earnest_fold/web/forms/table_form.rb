# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # A stretch of cloth told at the table, from the end that lies there: a flaw that was found, or a cut that went
      # wrong.
      class TableForm
        include Refusing

        R = Reckoning
        LONGEST = 80
        attr_reader :from, :to

        # @param params [Hash]
        # @param unit [Reckoning::Unit]
        # @param room [Reckoning::Length] no distance can be longer
        def initialize(params, unit, room)
          @params, @unit = params, unit
          @from, @to = length("from", R::Length::ZERO), length("to", nil)
          check(room) if @from && @to
        end

        # @return [String]
        def what = @params["what"].to_s.strip[0, LONGEST]

        # @return [Hash] what was typed
        def typed = @params.slice("from", "to", "what").select { |_, value| value.is_a?(String) }

        private

        def length(name, default)
          text = @params[name].to_s.strip
          return default if text.empty? && default
          return refuse(name, :missing) if text.empty?

          read = R::LengthReader.read(text, @unit)
          (read && !read.negative?) ? read : refuse(name, :not_a_length)
        end

        def check(room)
          refuse("to", :ends_before_it_starts) if to <= from
          refuse("to", :outside_the_piece) if to > room
        end
      end
    end
  end
end
