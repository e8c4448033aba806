# frozen_string_literal: true

# The line between a browser and the house, as bad as it can be: what is sent is lost before it arrives, or its answer
# is lost on the way back, or never comes, or the house is busy. It stands in front of the application in browser
# tests.
class Line
  PLAIN = {"content-type" => "text/plain"}.freeze

  class << self
    # @return [Array<Symbol>] what befalls the next things that are sent, one each; then the line is good
    def befalls = @befalls ||= []

    # @return [Regexp, nil] what is sent with this in it is too large
    attr_accessor :too_large

    # Everything that is sent is lost, until it is mended.
    attr_accessor :cut

    def mend
      befalls.clear
      self.too_large = self.cut = nil
    end
  end

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) unless env["REQUEST_METHOD"] == "POST"
    return hang_up(env) if Line.cut
    return [413, PLAIN, ["too large"]] if Line.too_large && sent(env).match?(Line.too_large)

    befall(Line.befalls.shift, env)
  end

  private

  def befall(what, env)
    case what
    when :busy then [503, PLAIN, ["busy"]]
    when :fault then [500, PLAIN, ["fault"]]
    when :lost_before then hang_up(env)
    when :lost_after
      @app.call(env)
      hang_up(env)
    when :silent then silence(env)
    else @app.call(env)
    end
  end

  def hang_up(env)
    env["rack.hijack"].call.close
    [200, PLAIN, []]
  end

  # The line stays open, and nothing comes.
  def silence(env)
    (@open ||= []) << env["rack.hijack"].call
    [200, PLAIN, []]
  end

  def sent(env)
    env["rack.input"].read.tap { env["rack.input"].rewind }
  end
end
