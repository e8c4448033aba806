# frozen_string_literal: true

require "sinatra/base"
require "tilt"
require "tilt/erubi"

module EarnestFold
  module Web
    # The templates, compiled once and kept. Everything they show is escaped, unless they say `<%==`.
    module Views
      FOLDER = File.join(__dir__, "views")
      # A view is given its screen; what is given anything else says so in its first line.
      COMPILED = {
        escape_html: true,
        freeze: true,
        extract_fixed_locals: true,
        default_fixed_locals: "(screen:)",
        scope_class: Sinatra::Base
      }.freeze
      # How lines are set in is for whoever reads a view: a tenth of a page, otherwise.
      SET_IN = /^[ \t]+/
      TEMPLATES = Dir[File.join(FOLDER, "*.erb")].to_h { |file|
        text = File.read(file).gsub(SET_IN, "")
        [File.basename(file, ".erb").to_sym, Tilt::ErubiTemplate.new(file, **COMPILED) { text }]
      }.freeze

      module_function

      # @param name [Symbol]
      # @param scope [Object] whose helpers the template uses
      # @param locals [Hash]
      # @return [String]
      def render(name, scope, locals, &inner) = TEMPLATES.fetch(name).render(scope, locals, &inner)
    end
  end
end
