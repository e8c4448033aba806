# frozen_string_literal: true

# What takes longer than a page may wait, worked out by others: the queue's own tables, what is asked for and how far
# it is, and plans that took long, each under what it was made from.
Sequel.migration do
  up do
    EarnestFold::Store.queue_within(self) { Que.migrate!(version: 7) }

    create_table(:errands) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :sort, null: false
      column :about, :jsonb, null: false
      String :mark, null: false
      String :state, null: false, default: "waiting"
      Integer :parts, null: false, default: 0
      Integer :of, null: false, default: 0
      String :why, null: false, default: ""
      File :made
      Integer :tries, null: false, default: 0
      String :by, null: false, default: ""
      column :asked_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :begun_at, :timestamptz
      column :ended_at, :timestamptz
      primary_key [:workroom_id, :id]
      index [:workroom_id, :sort, :mark, :id]
      # The same thing is worked out once at a time.
      index [:workroom_id, :sort, :mark], unique: true, name: :errands_one_at_work,
        where: Sequel.lit("state IN ('waiting', 'running')")
      constraint(:sort_known, sort: %w[plan paper])
      constraint(:state_known, state: %w[waiting running done failed stopped])
    end

    create_table(:kept_plans) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :mark, null: false
      column :plan, :jsonb, null: false
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :mark]
      index :at
    end
  end

  down do
    drop_table(:kept_plans, :errands)
    EarnestFold::Store.queue_within(self) { Que.migrate!(version: 0) }
  end
end
