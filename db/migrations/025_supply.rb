# frozen_string_literal: true

# What is bought of a supplier: what the supplier says there is, orders and what came of them, deliveries before they
# are taken in, credits, and what was told from outside that could not be right.
Sequel.migration do
  change do
    # The supplier's own catalogue, and its stock by cloth ("stock:CODE"), as it was told last.
    create_table(:supply) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :name, null: false
      column :told, :jsonb, null: false
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :name]
    end

    # Under which code the supplier has a cloth of ours.
    create_table(:cloth_codes) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :cloth_id, null: false
      String :code, null: false
      primary_key [:workroom_id, :cloth_id]
      foreign_key [:workroom_id, :cloth_id], :cloths, key: [:workroom_id, :id], on_delete: :cascade
    end

    create_table(:orders) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :job_id, null: false
      Integer :cloth_id, null: false
      # Ours, by which the supplier knows it: sent twice, it is one order.
      String :number, null: false
      # What was asked for: code, batch, lengths, the price by the metre.
      column :wanted, :jsonb, null: false
      # What the supplier says of it, as it was told last.
      column :told, :jsonb
      column :told_at, :timestamptz
      String :state, null: false, default: "draft"
      Integer :tries, null: false, default: 0
      String :why, null: false, default: ""
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :cloth_id], :cloths, key: [:workroom_id, :id], on_delete: :cascade
      unique [:workroom_id, :number]
      index [:workroom_id, :job_id, :cloth_id]
      constraint(:state_known, state: %w[draft waiting sent failed])
    end

    create_table(:deliveries) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :order_id, null: false
      # The delivery note's number.
      String :note, null: false
      column :told, :jsonb, null: false
      String :state, null: false, default: "waiting"
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :order_id], :orders, key: [:workroom_id, :id], on_delete: :cascade
      unique [:workroom_id, :order_id, :note]
      constraint(:state_known, state: %w[waiting received sent_back])
    end

    create_table(:credits) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :order_id, null: false
      String :piece, null: false
      String :length, null: false
      String :about, null: false
      # What is given back, once it is agreed.
      String :amount
      String :state, null: false, default: "draft"
      Integer :tries, null: false, default: 0
      String :why, null: false, default: ""
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :order_id], :orders, key: [:workroom_id, :id], on_delete: :cascade
      unique [:workroom_id, :order_id, :piece]
      constraint(:state_known, state: %w[draft waiting sent failed])
    end

    create_table(:told_wrong) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :thing, null: false
      String :about, null: false
      String :why, null: false
      String :told, null: false
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
    end
  end
end
