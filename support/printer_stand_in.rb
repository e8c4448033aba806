# frozen_string_literal: true

# A stand-in for the label printer: a port that takes what comes and lays it into a folder, with the habits of real
# ones.
# bin/start keeps one beside the demo house; alone: bin/stand-in printer [PORT].
#
# Every fifth time it is out of paper: it hangs up before it has taken all of it.
require "fileutils"
require "socket"
require_relative "stand_in"

# What it does with a label.
class PrinterStandIn
  OUT_OF_PAPER = 5
  LARGEST = 8 * 1024 * 1024

  # @param folder [String] into which it prints
  # @param out [Integer] so often it is out of paper: every fifth time, or so
  def initialize(folder, port, out: OUT_OF_PAPER)
    @folder, @out, @times = folder, out, 0
    FileUtils.mkdir_p(folder, mode: 0o700)
    @server = TCPServer.new("127.0.0.1", port)
  end

  def start
    @thread = Thread.new { loop { taken(@server.accept) } }
    self
  end

  def stop
    @thread&.kill
    @server.close
  end

  private

  def taken(socket)
    return hang_up(socket) if ((@times += 1) % @out).zero?

    bytes = socket.read(LARGEST).to_s
    name = "#{Time.now.utc.strftime("%Y%m%dT%H%M%S%6N")}.pdf"
    File.binwrite(File.join(@folder, name), bytes, perm: 0o600) unless bytes.empty?
  rescue SystemCallError
    nil
  ensure
    socket.close
  end

  # At once, with all that was sent unread.
  def hang_up(socket) = socket.setsockopt(Socket::SOL_SOCKET, Socket::SO_LINGER, [1, 0].pack("ii"))
end

if $PROGRAM_NAME == __FILE__
  folder, port, leashed = ARGV
  at = Integer(port || 9100, 10)
  stand_in = StandIn.at(at) { PrinterStandIn.new(folder, at).start }
  warn "The label printer's stand-in prints from tcp://127.0.0.1:#{at} into #{folder}" unless leashed
  StandIn.wait(leashed)
  stand_in.stop
end
