# frozen_string_literal: true

# Steps moved in the diary by hand; what was learnt of a piece of work when it was done; and times put right by hand,
# which stand beside what the clock said.
Sequel.migration do
  change do
    create_table(:diary_moves) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      String :block, null: false
      Date :day, null: false
      Integer :at_minute, null: false, default: 0
      String :by, null: false, default: ""
      primary_key [:workroom_id, :treatment_id, :block]
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
    end

    create_table(:log_notes) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      String :went_wrong, null: false, default: ""
      String :next_time, null: false, default: ""
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :treatment_id, :id]
    end

    alter_table(:bench_entries) do
      drop_constraint :kind_known
      add_constraint(:kind_known, kind: %w[done undone measured started stopped corrected])
    end
  end
end
