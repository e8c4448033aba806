# frozen_string_literal: true

# Every row belongs to a workroom, first in the indexes. What a person measured stands in `spec` as the job format
# writes it: each length as the text they typed with its unit, which is read exactly.
Sequel.migration do
  change do
    create_table(:workrooms) do
      primary_key :id
      String :name, null: false
      String :unit, null: false, default: "cm"
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:unit_known, unit: %w[mm cm in])
    end

    create_table(:cloths) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      column :spec, :jsonb, null: false
      String :colour, null: false, default: "#c9d2bd"
      Integer :version, null: false, default: 0
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      index [:workroom_id, :id], unique: true
    end

    create_table(:jobs) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :title, null: false
      String :unit, null: false
      Integer :version, null: false, default: 0
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :updated_at]
      constraint(:unit_known, unit: %w[mm cm in])
    end

    create_table(:windows) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :job_id, null: false
      Integer :position, null: false
      String :room, null: false, default: ""
      String :name, null: false, default: ""
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :job_id, :position]
    end

    create_table(:treatments) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :window_id, null: false
      Integer :position, null: false
      column :spec, :jsonb, null: false
      Integer :version, null: false, default: 0
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :window_id], :windows, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :window_id, :position]
    end
  end
end
