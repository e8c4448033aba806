# frozen_string_literal: true

# What the house decides (its rules, its sets of allowances, what small parts are on hand), who works here, and what a
# job needs beside its windows: notes, a place in the archive, treatments put away. A change says whose it was.
Sequel.migration do
  change do
    alter_table(:workrooms) do
      add_column :rules, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      add_column :on_hand, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      add_column :version, Integer, null: false, default: 0
    end

    create_table(:rule_sets) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :position, null: false
      String :name, null: false
      column :spec, :jsonb, null: false
      Integer :version, null: false, default: 0
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :name], unique: true
    end

    create_table(:people) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :name, null: false
      index [:workroom_id, :name], unique: true
    end

    alter_table(:jobs) do
      add_column :notes, String, text: true, null: false, default: ""
      add_column :archived, TrueClass, null: false, default: false
    end
    add_column :treatments, :put_away, TrueClass, null: false, default: false
    add_column :changes, :by, String, null: false, default: ""
  end
end
