# frozen_string_literal: true

# Letters to customers: written, looked at before they go, and what came of each; and how each thing outside answers.
Sequel.migration do
  change do
    create_table(:letters) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :job_id, null: false
      Integer :paper_id
      String :sort, null: false
      String :to, null: false, default: ""
      String :subject, null: false, default: ""
      String :body, null: false, default: ""
      # Where the application answers: what a link begins with.
      String :house, null: false, default: ""
      String :state, null: false, default: "draft"
      Integer :tries, null: false, default: 0
      String :why, null: false, default: ""
      Integer :version, null: false, default: 1
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :paper_id], :papers, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :job_id, :id]
      constraint(:state_known, state: %w[draft waiting sent failed])
    end

    # One row a thing, whatever workroom: the machine has one post.
    create_table(:outside) do
      String :name, primary_key: true
      TrueClass :open, null: false, default: true
      column :answered_at, :timestamptz
      column :failed_at, :timestamptz
      Integer :failures, null: false, default: 0
      String :why, null: false, default: ""
    end
  end
end
