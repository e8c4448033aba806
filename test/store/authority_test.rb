# frozen_string_literal: true

require "test_helper"
require "tmpdir"
require_relative "../../support/authority"

# The certificate that other devices in the house trust: made once, for this machine's addresses, by an authority that
# can make nothing else; made anew when the addresses change or it is over soon.
class AuthorityTest < EarnestFoldTest
  HOSTS = ["127.0.0.1", "localhost", "192.168.7.4", "bench.local"].freeze

  def setup = @folder = Dir.mktmpdir

  def teardown = FileUtils.rm_rf(@folder)

  def test_what_it_makes_is_good_for_this_machine_alone
    made = certificate(authority.ready(HOSTS).server_certificate)
    store = OpenSSL::X509::Store.new.tap { |one| one.add_file(authority.certificate) }
    assert store.verify(made), store.error_string
    HOSTS.each { |host| assert OpenSSL::SSL.verify_certificate_identity(made, host), host }
    refute OpenSSL::SSL.verify_certificate_identity(made, "192.168.7.5")
    assert made.check_private_key(OpenSSL::PKey.read(File.read(authority.server_key)))
  end

  def test_it_stays_until_addresses_change_or_it_is_over_soon
    first = File.read(authority.ready(HOSTS).server_certificate)
    root = File.read(authority.certificate)
    assert_equal first, File.read(authority.ready(HOSTS).server_certificate)
    refute_equal first, File.read(authority.ready(HOSTS + ["192.168.7.9"]).server_certificate)
    second = File.read(authority.server_certificate)
    later = Authority.new(@folder, now: Time.now + 340 * Authority::DAY).ready(HOSTS + ["192.168.7.9"])
    refute_equal second, File.read(later.server_certificate)
    assert_equal root, File.read(authority.certificate), "who trusts it once isn't asked again"
  end

  def test_nobody_else_reads_its_keys
    authority.ready(HOSTS)
    Dir[File.join(@folder, "*")].each { |file| assert_equal 0o600, File.stat(file).mode & 0o777, file }
  end

  private

  def authority = Authority.new(@folder)

  def certificate(file) = OpenSSL::X509::Certificate.new(File.read(file))
end
