# frozen_string_literal: true

# Distance meters, each somebody's own, and what they read: it waits until somebody has looked at it.
Sequel.migration do
  change do
    create_table(:meters) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :person_id, null: false
      String :name, null: false
      # Of its key only a print is kept.
      String :print, null: false, unique: true
      column :heard_at, :timestamptz
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :person_id], :people, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :person_id]
    end

    create_table(:meter_readings) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :person_id, null: false
      # Nobody's where it was typed.
      Integer :meter_id
      # The meter's own number for it: sent twice, it is one.
      String :press
      String :length, null: false
      String :state, null: false, default: "waiting"
      String :why, null: false, default: ""
      Integer :treatment_id
      String :path, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :person_id], :people, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :meter_id], :meters, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :person_id, :state]
      index [:workroom_id, :treatment_id]
      unique [:workroom_id, :meter_id, :press]
      constraint(:state_known, state: %w[waiting taken aside refused])
    end
  end
end
