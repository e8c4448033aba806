# frozen_string_literal: true

# What was said at the bench: steps done, what was measured, clocks started and stopped. Lines are only ever added: a
# correction stands beside what it corrects.
Sequel.migration do
  change do
    create_table(:bench_entries) do
      primary_key :id, type: :Bignum
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      String :step, null: false
      String :curtain, null: false, default: ""
      String :kind, null: false
      String :value
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :treatment_id, :id]
      constraint(:kind_known, kind: %w[done undone measured started stopped])
    end
  end
end
