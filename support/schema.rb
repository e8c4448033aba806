# frozen_string_literal: true

# Writes schema/ from the fields that are declared: bundle exec ruby support/schema.rb
require_relative "../lib/earnest_fold"

EarnestFold::Documents::Schema::PUBLISHED.each do |file, made|
  File.write(file, "#{JSON.pretty_generate(made.call)}\n")
end
