# frozen_string_literal: true

# A stand-in for the post: an SMTP server on this machine that lays every letter into a folder, and has the habits of
# real ones. bin/start keeps one beside the demo house; alone: bin/stand-in post [PORT].
#
# To whom a letter goes says how it behaves: busy@ is refused for now the first two times, nobody@ for good, silent@ is
# never answered, slow@ after three seconds; gone@ hangs up. What goes to moved@ is taken, and comes back: handed in at
# BOUNCE_TO with BOUNCE_KEY, where those are given.
require "fileutils"
require "midi-smtp-server"
require "net/http"
require "tmpdir"
require_relative "stand_in"

# What it does with a letter.
class PostStandIn < MidiSmtpServer::Smtpd
  SLOW, SILENT, BUSY = 3, 120, 2

  # @param folder [String] into which letters are laid
  # @param bounce_to [String, nil] where letters that come back are handed in
  def initialize(folder, port, bounce_to: nil, bounce_key: nil)
    @folder, @tried, @bounce_to, @bounce_key = folder, Hash.new(0), bounce_to, bounce_key
    FileUtils.mkdir_p(folder, mode: 0o700)
    super(
      ports: port.to_s, hosts: "127.0.0.1", max_processings: 4, auth_mode: :AUTH_FORBIDDEN,
      tls_mode: :TLS_FORBIDDEN, logger_severity: 4
    )
  end

  def on_rcpt_to_event(_context, to)
    case to[/([a-z]+)@/, 1]
    when "nobody" then raise MidiSmtpServer::Smtpd550Exception
    when "busy" then raise MidiSmtpServer::Smtpd450Exception if (@tried[to] += 1) <= BUSY
    when "slow" then sleep(SLOW)
    when "silent" then sleep(SILENT)
    when "gone" then raise MidiSmtpServer::Smtpd421Exception
    end
    to
  end

  def on_message_data_event(context)
    name = "#{Time.now.utc.strftime("%Y%m%dT%H%M%S%6N")}.eml"
    File.binwrite(File.join(@folder, name), context[:message][:data], perm: 0o600)
    moved = context[:envelope][:to].find { |to| to.include?("moved@") }
    # Whoever handed it in goes on: by then the server has forgotten it.
    letter = context[:message][:data].dup
    Thread.new { come_back(letter, moved) } if moved && @bounce_to
  end

  # What a mail server says of a letter that nobody took.
  # @param letter [String] as it was taken
  # @return [String] message/rfc822
  def self.bounce(letter, to, action: "failed")
    head = letter.split(/\r?\n\r?\n/, 2).first
    <<~MESSAGE.gsub("\n", "\r\n")
      From: MAILER-DAEMON@post.example
      To: workroom@saltmarsh.example
      Subject: Not delivered
      MIME-Version: 1.0
      Content-Type: multipart/report; report-type=delivery-status; boundary="part"

      --part
      Content-Type: text/plain

      Nobody gets letters there.

      --part
      Content-Type: message/delivery-status

      Reporting-MTA: dns; post.example

      Final-Recipient: rfc822; #{to}
      Action: #{action}
      Status: 5.1.1

      --part
      Content-Type: text/rfc822-headers

      #{head.gsub(/\r?\n/, "\n")}

      --part--
    MESSAGE
  end

  private

  def come_back(letter, to)
    Net::HTTP.post(URI(@bounce_to), self.class.bounce(letter, to[/[^<>]+@[^<>]+/]),
      "Content-Type" => "message/rfc822", "Authorization" => "Bearer #{@bounce_key}")
  rescue SystemCallError, IOError, Timeout::Error
    nil
  end
end

if $PROGRAM_NAME == __FILE__
  folder, port, leashed = ARGV
  back = {bounce_to: ENV["BOUNCE_TO"], bounce_key: ENV["BOUNCE_KEY"]}
  at = Integer(port || 2525, 10)
  stand_in = PostStandIn.new(folder, at, **back)
  StandIn.at(at) { stand_in.start }
  warn "The post's stand-in takes letters at smtp://127.0.0.1:#{at}, into #{folder}" unless leashed
  StandIn.wait(leashed)
  stand_in.stop(wait_seconds_before_close: 0, gracefully: false)
end
