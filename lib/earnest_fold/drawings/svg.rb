# frozen_string_literal: true

require "cgi/escape"

module EarnestFold
  module Drawings
    # A sheet to draw on: elements with escaped attributes and text, in the order they are drawn.
    class Svg
      # Attributes with a dash; the others are written as they are.
      NAMES = Hash
        .new { |_, name| name }
        .merge!(
          text_anchor: "text-anchor",
          clip_path: "clip-path",
          fill_opacity: "fill-opacity",
          font_size: "font-size",
          font_weight: "font-weight"
        )
        .freeze
      # Set small by the font, as on a tape.
      FRACTION = %r{\d+/\d+}

      # @param width [Numeric] of the view, in its own units
      # @param height [Numeric]
      # @param says [String] what the drawing shows, for those who can't see it
      # @param css [String] its class
      # @param role [String] "img", or "group" where parts of it can be touched
      def initialize(width, height, says:, css: "drawing", role: "img")
        @open = %(<svg viewBox="0 0 #{number(width)} #{number(height)}" class="#{escape(css)}" role="#{role}" ) +
          %(aria-label="#{escape(says)}" xmlns="http://www.w3.org/2000/svg">)
        @parts = []
      end

      # What has no extent is drawn as nothing.
      # @param attributes [Hash] of the element
      def rect(x, y, width, height, **attributes) =
        element("rect", x: x, y: y, width: [width, 0].max, height: [height, 0].max, **attributes)

      # @param attributes [Hash] of the element
      def line(x1, y1, x2, y2, **attributes) = element("line", x1: x1, y1: y1, x2: x2, y2: y2, **attributes)

      # @param parts [Array<String, Numeric>] commands and numbers
      # @param attributes [Hash] of the element
      def path(parts, **attributes) = element("path", d: commands(parts), **attributes)

      # @param parts [Array<Numeric, String>] letters and figures of a path
      # @return [String] to stand among the parts of another: what is drawn many times is written once
      def commands(parts) = parts.map { |part| part.is_a?(Numeric) ? number(part) : part }.join(" ")

      # @param attributes [Hash] of the element
      def circle(cx, cy, radius, **attributes) = element("circle", cx: cx, cy: cy, r: radius, **attributes)

      # @param words [String] escaped here; a fraction is set smaller
      # @param attributes [Hash] of the element
      def text(x, y, words, **attributes)
        fitted = escape(words).gsub(FRACTION, '<tspan class="fraction">\0</tspan>')
        @parts << "<text#{attributes_text(x: x, y: y, **attributes)}>#{fitted}</text>"
        self
      end

      # Draws what the block draws inside a group.
      def group(**attributes)
        @parts << "<g#{attributes_text(**attributes)}>"
        yield
        @parts << "</g>"
        self
      end

      # What touching leads somewhere; nothing but what the block draws where it leads nowhere.
      # @param href [String, nil]
      # @param says [String, nil] for those who can't see it, where no words stand in it
      def link(href, says:)
        return yield unless href

        @parts << "<a#{attributes_text(:href => href, "aria-label" => says)}>"
        yield
        @parts << "</a>"
        self
      end

      # What the group or link that it stands in is called, shown where a pointer rests.
      def title(words)
        @parts << "<title>#{escape(words)}</title>"
        self
      end

      # Another drawing whole inside this one.
      # @param drawing [String] SVG
      def inside(x, y, drawing)
        size = drawing[/viewBox="0 0 ([\d. ]+)"/, 1].split
        @parts << drawing.sub(
          "<svg ",
          %(<svg x="#{number(x)}" y="#{number(y)}" width="#{size[0]}" height="#{size[1]}" )
        )
        self
      end

      # A rectangle outside which nothing of the block is seen.
      def clip(id, x, y, width, height, &block)
        within = attributes_text(x: x, y: y, width: [width, 0].max, height: [height, 0].max)
        @parts << %(<clipPath id="#{escape(id)}"><rect#{within}/></clipPath>)
        group(clip_path: "url(##{id})", &block)
      end

      # Slanted lines that tell a turning from plain cloth: one way for hems, the other for headings, both for waste.
      def hatch(id, slants, gap: 7)
        strokes = slants
          .map { |slant| %(<path d="#{{forward: "M0 #{gap}L#{gap} 0", back: "M0 0L#{gap} #{gap}"}.fetch(slant)}"/>) }
          .join
        size = %(width="#{gap}" height="#{gap}" patternUnits="userSpaceOnUse")
        @parts << %(<pattern id="#{escape(id)}" class="hatch" #{size}>#{strokes}</pattern>)
        self
      end

      def to_s = "#{@open}#{@parts.join}</svg>"

      private

      def element(name, **attributes)
        @parts << "<#{name}#{attributes_text(**attributes)}/>"
        self
      end

      def attributes_text(**attributes)
        attributes.each_with_object(+"") do |(name, value), text|
          text << %( #{NAMES[name]}="#{value.is_a?(Numeric) ? number(value) : escape(value)}") unless value.nil?
        end
      end

      # To a tenth, in whole tenths throughout: drawings are full of numbers.
      def number(value)
        return value.to_s if value.is_a?(Integer)

        tenths = (value * 10).round
        return "-#{number(-value)}" if tenths.negative?

        rest = tenths % 10
        rest.zero? ? (tenths / 10).to_s : "#{tenths / 10}.#{rest}"
      end

      def escape(text) = CGI.escapeHTML(text.to_s)
    end
  end
end
