# frozen_string_literal: true

# The shelf: pieces of cloth, what was taken of each, and what happened to it; the plans that were taken to the table
# with their cuts; and what a maker wants of a plan. Lengths that were typed stand as typed in `spec`; those that were
# reckoned stand as exact millimetres in a text ("13790/49").
Sequel.migration do
  change do
    create_table(:pieces) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :cloth_id, null: false
      String :label, null: false
      column :spec, :jsonb, null: false
      Integer :parent_id
      TrueClass :used_up, null: false, default: false
      Integer :version, null: false, default: 0
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :cloth_id], :cloths, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :label], unique: true
      index [:workroom_id, :cloth_id]
    end

    create_table(:plans) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :job_id, null: false
      Integer :cloth_id, null: false
      TrueClass :open, null: false, default: true
      TrueClass :proved, null: false
      String :used, null: false
      String :bound, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :cloth_id], :cloths, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :job_id, :cloth_id], unique: true, where: :open, name: :plans_one_open
    end

    create_table(:plan_cuts) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :plan_id, null: false
      Integer :job_id, null: false
      Integer :cloth_id, null: false
      Integer :piece_id, null: false
      Integer :position, null: false
      String :datum, null: false
      String :from, null: false
      String :to, null: false
      column :cut, :jsonb, null: false
      String :state, null: false, default: "planned"
      String :by, null: false, default: ""
      column :done_at, :timestamptz
      foreign_key [:workroom_id, :plan_id], :plans, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :piece_id], :pieces, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :id], unique: true
      index [:workroom_id, :job_id, :cloth_id]
      index [:workroom_id, :piece_id]
      constraint(:state_known, state: %w[planned cut wrong])
    end

    create_table(:takings) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :piece_id, null: false
      String :kind, null: false
      String :from, null: false
      String :to, null: false
      Integer :plan_cut_id
      Integer :offcut_id
      foreign_key [:workroom_id, :piece_id], :pieces, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :piece_id]
      constraint(:kind_known, kind: %w[cut wasted wrong offcut])
    end

    create_table(:piece_events) do
      primary_key :id, type: :Bignum
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :piece_id, null: false
      String :kind, null: false
      column :data, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :piece_id], :pieces, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :piece_id, :id]
    end

    create_table(:cutting_wishes) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :job_id, null: false
      Integer :cloth_id, null: false
      column :spec, :jsonb, null: false
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :cloth_id], :cloths, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :job_id, :cloth_id], unique: true
    end
  end
end
