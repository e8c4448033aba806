# frozen_string_literal: true

module EarnestFold
  module Drawings
    # The drawings' own look where the application's stylesheet isn't there: in a file, and on paper.
    module PrintStyle
      RULES = <<~CSS
        text { font-family: Sans, "Source Sans 3", sans-serif; fill: #2b3a42; }
        .figure { font-size: 14px; font-weight: bold; }
        .label { font-size: 13.5px; font-weight: bold; }
        .edge { font-size: 12.5px; fill: #2b3a42; }
        .ruler { font-size: 12px; fill: #5d6a6e; }
        .outline { fill: none; stroke: #2b3a42; stroke-width: 1.6; }
        .dim { fill: none; stroke: #2b3a42; stroke-width: 1; }
        .repeat { fill: none; stroke: #3d4b3c; stroke-width: 1; stroke-dasharray: 1.5 4; }
        .turning { fill: none; stroke: #2b3a42; stroke-width: 1; stroke-dasharray: 5 4; }
        .seam { fill: none; stroke: #2b3a42; stroke-width: 1; }
        .lining { fill: #fbf8f0; stroke: #2b3a42; stroke-width: 1; }
        .label-ground { fill: #ffffff; }
        .motif { fill: none; stroke: #aab2a4; stroke-width: 1.2; }
        .cut { fill: #fbf8f0; stroke: #2b3a42; stroke-width: 1.4; }
        .top-mark { fill: none; stroke: #2b3a42; stroke-width: 1.5; }
        .tick { fill: none; stroke: #24452d; stroke-width: 3; }
        .crossed { fill: none; stroke: #8a7f69; stroke-width: 1; }
        .flawed { fill: #d9b9b2; }
        .notch { fill: #8d2f22; }
        .noted { fill: #a02f25; }
        .noted-number { fill: #ffffff; font-size: 14px; font-weight: bold; }
        .alter-line { stroke: #8d2f22; stroke-width: 2; }
        .alter-line.on-fold { stroke-dasharray: 8 5; }
        .alter-line.on-sew { stroke-dasharray: 3 3; }
        .alter-line.on-mark { stroke: #24506f; stroke-dasharray: 2 4; }
        .leader { fill: none; stroke: #7f9ab0; stroke-width: 1; }
        .caption { font-size: 15px; font-weight: bold; }
        .feature { fill: #eeeae0; stroke: #8a8a80; stroke-width: 1; }
        .feature.glass { fill: #f4f8fa; stroke: #5d7482; }
        .glazing { fill: none; stroke: #5d7482; stroke-width: 1; }
        .support { stroke: #2b3a42; stroke-width: 5; }
        .floor { stroke: #8a7f69; stroke-width: 2; }
        .fold { fill: none; stroke: #8a8f92; stroke-width: 1; }
        .waste { fill: none; }
        .cloth { stroke: #2b3a42; stroke-width: 1; }
      CSS

      # Each rule: the element that it is of (nil: any), the classes, and what it says.
      PARSED =
        RULES
          .lines
          .map { |rule| rule.match(/\A(?<tag>[a-z]+)?(?<classes>[.\w-]*) \{ (?<says>[^}]*) \}/) }
          .map { |rule| [rule[:tag], rule[:classes].split(".").reject(&:empty?), rule[:says].tr('"', "'")] }
          .freeze
      private_constant :PARSED

      module_function

      # The rules stand at each element, as finding what a rule is about takes whoever reads the drawing longer than
      # drawing it.
      # @param svg [String] a drawing
      # @return [String] the same, standing for itself
      #
      #   Drawings::PrintStyle.added(sheet.to_s).scan("<svg").size # => 1
      def added(svg)
        styles = Hash.new { |known, element| known[element] = style(*element) }
        svg.gsub(/<([a-z]+)((?: [\w-]+="[^"]*")*)/) do |tag|
          own = styles[[$1, $2[/ class="([^"]*)"/, 1].to_s]]
          own.empty? ? tag : "#{tag} style=\"#{own}\""
        end
      end

      # @api private
      # A later rule goes before an earlier one.
      def style(name, classes)
        own = classes.split
        PARSED
          .select { |tag, wanted, _| (tag.nil? || tag == name) && (wanted - own).empty? }
          .map(&:last)
          .join(" ")
      end
    end
  end
end
