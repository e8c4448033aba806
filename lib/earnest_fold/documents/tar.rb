# frozen_string_literal: true

require "rubygems/package"
require "stringio"

module EarnestFold
  module Documents
    # Several files as one.
    module Tar
      module_function

      # @param files [Hash{String => String}] bytes by name
      # @return [String] the file
      #
      #   Documents::Tar.pack({"a.txt" => "one"}).bytesize # => 2048
      def pack(files)
        made = StringIO.new("".b)
        Gem::Package::TarWriter.new(made) do |tar|
          files.each do |name, bytes|
            tar.add_file_simple(name, 0o644, bytes.bytesize) { |entry| entry.write(bytes) }
          end
        end
        made.string
      end
    end
  end
end
