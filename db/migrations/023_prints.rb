# frozen_string_literal: true

# Labels on their way to the label printer, and what came of them.
Sequel.migration do
  change do
    create_table(:prints) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :about, null: false
      File :file
      String :state, null: false, default: "draft"
      Integer :tries, null: false, default: 0
      String :why, null: false, default: ""
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      primary_key [:workroom_id, :id]
      constraint(:state_known, state: %w[draft waiting sent failed])
    end
  end
end
