# frozen_string_literal: true

require "fileutils"
require "openssl"
require "socket"

# An authority of this checkout's own, under var/tls, and a certificate by it for this machine's addresses: so that
# other devices in the house talk to it in secret. Who trusts the authority once isn't asked again.
class Authority
  DAY = 86_400
  AUTHORITY_DAYS, SERVER_DAYS, RENEWED = 3650, 365, 30
  NAME = "Earnest Fold, this workroom's own"

  # @param folder [String]
  # @param now [Time]
  def initialize(folder, now: Time.now)
    @folder, @now = folder, now
    FileUtils.mkdir_p(folder, mode: 0o700)
  end

  # @return [String] files
  def certificate = File.join(@folder, "authority.crt")

  def server_certificate = File.join(@folder, "server.crt")

  def server_key = File.join(@folder, "server.key")

  # Makes what is missing, is over soon, or was made for other addresses.
  # @param hosts [Array<String>] names and addresses
  # @return [Authority] self
  def ready(hosts)
    make unless File.exist?(certificate)
    issue(hosts) unless good?(hosts)
    self
  end

  # @return [Array<String>] how other devices in the house reach this machine
  def self.hosts
    addresses = Socket.ip_address_list.select { |one| one.ipv4_private? }.map(&:ip_address)
    name = Socket.gethostname.split(".").first
    [*addresses, "#{name}.local", name].uniq
  end

  private

  def key_file = File.join(@folder, "authority.key")

  def make
    key = OpenSSL::PKey::EC.generate("prime256v1")
    made = plain(key, NAME, AUTHORITY_DAYS)
    made.issuer = made.subject
    extend_with(made, made, "basicConstraints" => "CA:TRUE,pathlen:0", "keyUsage" => "keyCertSign,cRLSign",
      "subjectKeyIdentifier" => "hash")
    made.sign(key, "SHA256")
    keep(key_file, key.to_pem)
    keep(certificate, made.to_pem)
  end

  def issue(hosts)
    authority = OpenSSL::X509::Certificate.new(File.read(certificate))
    key = OpenSSL::PKey::EC.generate("prime256v1")
    made = plain(key, hosts.first, SERVER_DAYS)
    made.issuer = authority.subject
    extend_with(made, authority, "basicConstraints" => "CA:FALSE", "keyUsage" => "digitalSignature",
      "extendedKeyUsage" => "serverAuth", "subjectAltName" => alternatives(hosts))
    made.sign(OpenSSL::PKey.read(File.read(key_file)), "SHA256")
    keep(server_key, key.to_pem)
    keep(server_certificate, made.to_pem)
  end

  def plain(key, name, days)
    made = OpenSSL::X509::Certificate.new
    made.version, made.serial = 2, OpenSSL::BN.rand(128)
    made.subject = OpenSSL::X509::Name.new([["CN", name]])
    made.public_key = key
    made.not_before, made.not_after = @now - DAY, @now + days * DAY
    made
  end

  def extend_with(made, by, extensions)
    factory = OpenSSL::X509::ExtensionFactory.new(by, made)
    extensions.each do |name, value|
      made.add_extension(factory.create_extension(name, value, %w[basicConstraints keyUsage].include?(name)))
    end
  end

  def alternatives(hosts) =
    hosts.map { |host| host.match?(/\A[\d.]+\z/) ? "IP:#{host}" : "DNS:#{host}" }.join(",")

  def good?(hosts)
    return false unless File.exist?(server_certificate)

    made = OpenSSL::X509::Certificate.new(File.read(server_certificate))
    named = made.extensions.find { |one| one.oid == "subjectAltName" }.value.gsub("IP Address:", "IP:").delete(" ")
    named == alternatives(hosts) && made.not_after > @now + RENEWED * DAY
  end

  def keep(file, text) = File.write(file, text, perm: 0o600)
end
