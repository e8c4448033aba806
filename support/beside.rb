# frozen_string_literal: true

# A process beside this one, which ends with it however that ends, and is started again when it dies by itself.
class Beside
  # Seconds until one that died is started again.
  PAUSE = 2

  # @param environment [Hash]
  # @param command [Array<String>] is started with an input that ends when this process does
  # @param log [String] the file for what it says
  def initialize(environment, *command, log:)
    @environment, @command, @log = environment, command, log
    @leash, @held = IO.pipe
    @lock = Mutex.new
  end

  # @yieldparam words [String] where it died and is started again
  # @return [Beside] self
  def start
    @pid = launch
    @watching = Thread.new do
      loop do
        Process.wait(@pid)
        break if @stopped

        yield "what works beside (#{@command.last(2).first}) is gone, and is started again"
        sleep PAUSE
        again or break
      end
    end
    self
  end

  # @return [Integer] its process
  attr_reader :pid

  def stop
    @lock.synchronize do
      @stopped = true
      @held.close
    end
    @watching&.join(5)
  end

  private

  # What died while this one was ending stays as it is.
  def again = @lock.synchronize { @stopped ? nil : @pid = launch }

  # In a group of its own: Ctrl-C goes to everything that a terminal runs, and whoever is asked to stop by it sees to
  # what stands beside it.
  def launch
    into = {:in => @leash, :out => [@log, "a", 0o600], :err => [:child, :out], @held => :close}
    Process.spawn(@environment, *@command, pgroup: true, **into)
  end
end
