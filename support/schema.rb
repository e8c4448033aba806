# frozen_string_literal: true

# Writes schema/job.v1.json from the fields that the core declares: bundle exec ruby support/schema.rb
require_relative "../lib/earnest_fold"

File.write(EarnestFold::Documents::Schema::FILE, "#{JSON.pretty_generate(EarnestFold::Documents::Schema.to_h)}\n")
