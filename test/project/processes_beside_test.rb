# frozen_string_literal: true

require "test_helper"
require "timeout"
require_relative "../../support/beside"

# What stands beside the application ends with it, and by nothing else.
class ProcessesBesideTest < EarnestFoldTest
  LONGEST = 30

  def setup
    @gone = Queue.new
    @beside = Beside.new({}, RbConfig.ruby, "-e", "$stdin.read", log: File::NULL).start { |words| @gone << words }
  end

  # All that is started by a terminal is told at once to end: one that died by that isn't started again.
  def test_what_died_while_it_was_ended_stays_so
    Process.kill(:KILL, @beside.pid)
    Timeout.timeout(LONGEST) { @gone.pop }
    @beside.stop
    assert_raises(Errno::ESRCH) { Process.kill(0, @beside.pid) }
  end

  # Ctrl-C is for whoever sees to the others.
  def test_it_stands_in_a_group_of_its_own
    assert_equal @beside.pid, Process.getpgid(@beside.pid)
  ensure
    @beside.stop
  end
end
