# frozen_string_literal: true

# Each change of a treatment, so that it can be looked up and taken back. `undoable` is how many can still be taken
# back: the desk asks for it with every page.
Sequel.migration do
  change do
    add_column :treatments, :undoable, Integer, null: false, default: 0

    create_table(:changes) do
      primary_key :id, type: :Bignum
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      column :before, :jsonb, null: false
      column :after, :jsonb, null: false
      TrueClass :taken_back, null: false, default: false
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :treatment_id, :id]
    end
  end
end
