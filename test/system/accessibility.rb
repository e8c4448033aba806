# frozen_string_literal: true

require "axe/configuration"

# The accessibility rules in the browser: a file beside the application's own, so that they are read once and not with
# each page.
module Accessibility
  PLACE = "/accessibility-rules.js"
  RULES = Axe::Configuration.instance.jslib.freeze
  FILE = [200, {"content-type" => "text/javascript", "cache-control" => "max-age=3600"}, [RULES]].freeze
  # What is found is told by what is asked for alone; there are no frames to go into.
  SCRIPT = <<~JS.freeze
    const done = arguments[arguments.length - 1];
    const look = () => axe.run(document, {resultTypes: ["violations"], iframes: false}).then(
      (found) => done(found.violations.map(({id, nodes}) => [id, nodes.slice(0, 3).map(({html}) => html)])),
      (fault) => done([["not looked at", [String(fault)]]])
    );
    const rules = document.createElement("script");
    rules.src = #{PLACE.to_json};
    rules.onload = look;
    rules.onerror = () => done([["not looked at", ["the rules aren't there"]]]);
    if ("axe" in window) look(); else document.head.append(rules);
  JS

  module_function

  # @param app [#call]
  # @return [#call] with the rules
  def beside(app) = ->(env) { (env["PATH_INFO"] == PLACE) ? FILE.map(&:dup) : app.call(env) }

  # @param page [Capybara::Session]
  # @return [Array<String>] what the rules find on it
  def findings(page) = page.evaluate_async_script(SCRIPT).map { |id, nodes| "#{id}: #{nodes.join(" | ")}" }
end
