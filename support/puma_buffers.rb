# frozen_string_literal: true

require "puma"
require "puma/server"

# Puma gathers an answer in a buffer that belongs to the connection, and empties it once more after the connection was
# handed on. On a busy machine another thread may be gathering the next answer there by then: its first lines are lost,
# and the browser can't read it. So each thread gathers in a buffer of its own.
module PumaBuffers
  KEY = :earnest_fold_answer
  private_constant :KEY

  def io_buffer = Thread.current[KEY] ||= Puma::IOBuffer.new

  Puma::Client.prepend(self)
end
