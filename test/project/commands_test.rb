# frozen_string_literal: true

require "test_helper"
require "open3"
require "socket"
require "tmpdir"

# What the commands say of themselves, and to whoever asks them for what they don't know.
class CommandsTest < EarnestFoldTest
  COMMANDS = Dir[File.expand_path("../../bin/*", __dir__)].map { |path| File.basename(path) }.sort
  NOT_KNOWN = 64

  def test_each_tells_what_it_does
    COMMANDS.each do |name|
      said, wrong, status = run_in(name, "--help")
      assert_predicate status, :success?, name
      assert_operator said.lines.size, :>=, 1, name
      assert_empty wrong, name
      refute_match(/^#|set -e/, said, name)
    end
  end

  # No file is called so by mistake.
  def test_what_is_no_file
    %w[backup restore].each do |name|
      said, told, status = run_in(name, "--everything")
      assert_equal [NOT_KNOWN, ""], [status.exitstatus, said], name
      assert_includes told, "bin/#{name}"
    end
  end

  def test_stand_ins_say_what_is_wanting
    [[], %w[pigeon], %w[post often], %w[meter], %w[meter http://127.0.0.1:1/readings]].each do |words|
      _, told, status = run_in("stand-in", *words)
      assert_equal NOT_KNOWN, status.exitstatus, words.inspect
      assert_includes told, "bin/stand-in post"
    end
  end

  def test_a_stand_in_at_a_port_that_is_taken
    taken = TCPServer.new("127.0.0.1", 0)
    port = taken.addr[1].to_s
    Dir.mktmpdir do |folder|
      {"post" => [folder], "printer" => [folder], "supplier" => []}.each do |name, into|
        _, told, status = Open3.capture3(RbConfig.ruby, root("support/#{name}_stand_in.rb"), *into, port)
        refute_predicate status, :success?, name
        assert_equal "Port #{port} is taken: choose another.\n", told, name
      end
    end
  ensure
    taken.close
  end

  private

  def run_in(name, *words) = Open3.capture3({"METER_KEY" => nil}, root("bin", name), *words, stdin_data: "")
end
