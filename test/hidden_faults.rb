# frozen_string_literal: true

# A page goes on where one record of it can't be shown, and says so in its log alone: in a test, that is a fault of the
# program's, unless the test caused it.
module HiddenFaults
  HEARD = Queue.new

  module Hearing
    def tell(about, error)
      HEARD << [about, error]
      super
    end

    def note(about, error)
      HEARD << [about, error]
      super
    end
  end

  EarnestFold::Work::Faults.singleton_class.prepend(Hearing)
  EarnestFold::Web::RequestLog.singleton_class.prepend(Hearing)

  def before_setup
    super
    HEARD.clear
  end

  def after_teardown
    super
    heard = Array.new(HEARD.size) { HEARD.pop }
    assert_empty heard.map { |about, error| [about, error.message, *error.backtrace&.first(4)] } unless @faults_caused
  end

  # The test causes some.
  def causing_faults = @faults_caused = true
end
