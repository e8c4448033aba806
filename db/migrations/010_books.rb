# frozen_string_literal: true

# The books: what a job asks for its work (`account`), what is promised and what is awaited (`dates`), the quotes,
# orders and invoices as they went out, and the numbers they take, one after the other by kind.
Sequel.migration do
  change do
    add_column :jobs, :account, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
    add_column :jobs, :dates, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
    add_column :jobs, :invoiced, TrueClass, null: false, default: false

    create_table(:paper_numbers) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :kind, null: false
      Integer :following, null: false, default: 1
      primary_key [:workroom_id, :kind]
      constraint(:following_over_zero) { following > 0 }
    end

    create_table(:papers) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :job_id, null: false
      String :kind, null: false
      Integer :number, null: false
      column :content, :jsonb, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :kind, :number], unique: true
      index [:workroom_id, :job_id, :id]
      constraint(:kind_known, kind: %w[quote order invoice])
    end
  end
end
