# frozen_string_literal: true

# What a job document brought that has no table of its own yet (alterations, small parts) stays with the job as it came.
Sequel.migration do
  change do
    add_column :jobs, :extras, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
  end
end
