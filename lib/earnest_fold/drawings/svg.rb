# frozen_string_literal: true

require "cgi/escape"

module EarnestFold
  module Drawings
    # A sheet to draw on: elements with escaped attributes and text, in the order they are drawn.
    class Svg
      # Attributes with a dash, by what they are called here; the others are called as they are written.
      DASHED = {
        text_anchor: "text-anchor",
        clip_path: "clip-path",
        fill_opacity: "fill-opacity",
        font_size: "font-size",
        font_weight: "font-weight"
      }.freeze
      # How an attribute begins, once for all drawings; one that isn't here is put together where it comes.
      BEGUN = %i[x y width height x1 y1 x2 y2 d cx cy r class fill href].to_h { |name| [name, name.name] }.merge(DASHED)
        .transform_values { |name| %( #{name}=").freeze }.freeze
      # Drawings are full of numbers, and hardly any is larger: each as it is written, by its tenths.
      TENTHS = Array.new(12_000) { |tenths| tenths.fdiv(10).to_s.delete_suffix(".0").freeze }.freeze
      # Set small by the font, as on a tape.
      FRACTION = %r{\d+/\d+}

      # @param width [Numeric] of the view, in its own units
      # @param height [Numeric]
      # @param says [String] what the drawing shows, for those who can't see it
      # @param css [String] its class
      # @param role [String] "img", or "group" where parts of it can be touched
      def initialize(width, height, says:, css: "drawing", role: "img")
        @drawn = %(<svg viewBox="0 0 #{number(width)} #{number(height)}" class="#{escape(css)}" role="#{role}" ) +
          %(aria-label="#{escape(says)}" xmlns="http://www.w3.org/2000/svg">)
      end

      # What has no extent is drawn as nothing.
      # @param attributes [Hash] of the element
      #
      #   drawn(sheet.rect(1, 2, 3, 4)) # => "<rect x='1' y='2' width='3' height='4'/>"
      def rect(x, y, width, height, **attributes) =
        element("rect", {x: x, y: y, width: [width, 0].max, height: [height, 0].max}, attributes)

      # @param attributes [Hash] of the element
      #
      #   drawn(sheet.line(1, 2, 3.25, 4)) # => "<line x1='1' y1='2' x2='3.3' y2='4'/>"
      def line(x1, y1, x2, y2, **attributes) = element("line", {x1: x1, y1: y1, x2: x2, y2: y2}, attributes)

      # @param parts [Array<String, Numeric>] commands and numbers
      # @param attributes [Hash] of the element
      #
      #   drawn(sheet.path(["M", 1, 2.04, "V", 3])) # => "<path d='M 1 2 V 3'/>"
      def path(parts, **attributes) = element("path", {d: Svg.commands(parts)}, attributes)

      # @param parts [Array<Numeric, String>] letters and figures of a path
      # @return [String] to stand among the parts of another: what is drawn many times is written once
      #
      #   Drawings::Svg.commands(["M", 1, 2.04, "V", 3]) # => "M 1 2 V 3"
      def self.commands(parts) = parts.map { |part| part.is_a?(String) ? part : number(part) }.join(" ")

      # @param value [Numeric]
      # @return [String] to a tenth, in whole tenths throughout
      #
      #   Drawings::Svg.number(-2.04) # => "-2"
      def self.number(value)
        tenths = (value * 10).round
        return "-#{number(-value)}" if tenths < 0

        TENTHS[tenths] || tenths.fdiv(10).to_s.delete_suffix(".0")
      end

      # @param attributes [Hash] of the element
      #
      #   drawn(sheet.circle(1, 2, 3, fill: "none")) # => "<circle cx='1' cy='2' r='3' fill='none'/>"
      def circle(cx, cy, radius, **attributes) = element("circle", {cx: cx, cy: cy, r: radius}, attributes)

      # @param words [String] escaped here; a fraction is set smaller
      # @param attributes [Hash] of the element
      #
      #   drawn(sheet.text(1, 2, "a & b")) # => "<text x='1' y='2'>a &amp; b</text>"
      def text(x, y, words, **attributes)
        fitted = escape(words)
        fitted.gsub!(FRACTION, '<tspan class="fraction">\0</tspan>') if fitted.include?("/")
        opened("text", {x: x, y: y}, attributes)
        @drawn << fitted << "</text>"
        self
      end

      # Draws what the block draws inside a group.
      #
      #   drawn(sheet.group(class: "aside") { }) # => "<g class='aside'></g>"
      def group(**attributes)
        opened("g", attributes)
        yield
        @drawn << "</g>"
        self
      end

      # What touching leads somewhere; nothing but what the block draws where it leads nowhere.
      # @param href [String, nil]
      # @param says [String, nil] for those who can't see it, where no words stand in it
      #
      #   drawn(sheet.link("/shelf/1", says: "R1") { }) # => "<a href='/shelf/1' aria-label='R1'></a>"
      def link(href, says:)
        return yield unless href

        opened("a", {:href => href, "aria-label" => says})
        yield
        @drawn << "</a>"
        self
      end

      # What the group or link that it stands in is called, shown where a pointer rests.
      #
      #   drawn(sheet.title("a cut")) # => "<title>a cut</title>"
      def title(words)
        @drawn << "<title>" << escape(words) << "</title>"
        self
      end

      # Another drawing whole inside this one.
      # @param drawing [String] SVG
      #
      #   drawn(sheet.inside(1, 2, sheet.to_s)).scan("svg").size # => 3
      def inside(x, y, drawing)
        size = drawing[/viewBox="0 0 ([\d. ]+)"/, 1].split
        @drawn << drawing.sub(
          "<svg ",
          %(<svg x="#{number(x)}" y="#{number(y)}" width="#{size[0]}" height="#{size[1]}" )
        )
        self
      end

      # A rectangle outside which nothing of the block is seen.
      #
      #   drawn(sheet.clip("row", 1, 2, 3, 4) { }).scan("clipPath").size # => 2
      def clip(id, x, y, width, height, &block)
        @drawn << %(<clipPath id="#{escape(id)}">)
        rect(x, y, width, height)
        @drawn << "</clipPath>"
        group(clip_path: "url(##{id})", &block)
      end

      # Slanted lines that tell a turning from plain cloth: one way for hems, the other for headings, both for waste.
      #
      #   drawn(sheet.hatch("waste", [:forward])).scan("path").size # => 1
      def hatch(id, slants, gap: 7)
        strokes = slants
          .map { |slant| %(<path d="#{{forward: "M0 #{gap}L#{gap} 0", back: "M0 0L#{gap} #{gap}"}.fetch(slant)}"/>) }
          .join
        size = %(width="#{gap}" height="#{gap}" patternUnits="userSpaceOnUse")
        @drawn << %(<pattern id="#{escape(id)}" class="hatch" #{size}>#{strokes}</pattern>)
        self
      end

      #
      #   size(sheet) # => "9 9"
      def to_s = "#{@drawn}</svg>"

      private

      def element(name, own, attributes)
        begun(name, own, attributes)
        @drawn << "/>"
        self
      end

      def opened(name, *attributes)
        begun(name, *attributes)
        @drawn << ">"
      end

      # Written at once to where it belongs: no page has as many pieces of text as its drawings.
      def begun(name, *attributes)
        @drawn << "<" << name
        attributes.each do |some|
          some.each do |named, value|
            next if value.nil?

            told = value.is_a?(Numeric) ? number(value) : escape(value)
            @drawn << "#{BEGUN[named] || %( #{named}=")}#{told}\""
          end
        end
      end

      def number(value) = Svg.number(value)

      def escape(text) = CGI.escapeHTML(text.to_s)
    end
  end
end
