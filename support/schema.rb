# frozen_string_literal: true

# Writes schema/ from the fields that are declared: bundle exec ruby support/schema.rb
require_relative "../lib/earnest_fold"

{
  "job.v1.json" => EarnestFold::Documents::Schema.to_h,
  "meter-reading.v1.json" => EarnestFold::Documents::MeterReport.schema,
  "supplier.v1.json" => EarnestFold::Documents::SupplierFormat.schema
}.each do |file, made|
  File.write(File.join(EarnestFold.root, "schema", file), "#{JSON.pretty_generate(made)}\n")
end
