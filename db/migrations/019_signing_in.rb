# frozen_string_literal: true

# Who may come in: accounts with what they sign in by, their sessions and second factors; which of a workroom's people
# an account is, and what they may; invitations, of which only a print is kept; and which jobs are lent to whom.
Sequel.migration do
  change do
    create_table(:accounts) do
      primary_key :id, type: :Bignum
      String :login, null: false
      Integer :status_id, null: false, default: 2
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      index Sequel.function(:lower, :login), unique: true, name: :accounts_login_once
    end

    create_table(:account_password_hashes) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :password_hash, null: false
    end

    create_table(:account_login_failures) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      Integer :number, null: false, default: 1
    end

    create_table(:account_lockouts) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
    end

    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      String :session_id, null: false
      String :device, null: false, default: ""
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:account_id, :session_id]
    end

    create_table(:account_otp_keys) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :key, null: false
      Integer :num_failures, null: false, default: 0
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:account_recovery_codes) do
      foreign_key :id, :accounts, type: :Bignum, on_delete: :cascade
      String :code, null: false
      primary_key [:id, :code]
    end

    create_table(:account_webauthn_user_ids) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :webauthn_id, null: false
    end

    create_table(:account_webauthn_keys) do
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      String :webauthn_id, null: false
      String :public_key, null: false
      Integer :sign_count, null: false
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:account_id, :webauthn_id]
    end

    add_column :workrooms, :demo, TrueClass, null: false, default: false

    alter_table(:people) do
      add_foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null
      add_column :role, String, null: false, default: "maker"
      add_column :books, TrueClass, null: false, default: false
      add_index [:workroom_id, :account_id], unique: true
      add_index :account_id
      add_unique_constraint [:workroom_id, :id], name: :people_of_workroom
      add_constraint(:role_known, role: %w[owner maker fitter apprentice])
    end

    create_table(:invitations) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :person_id, null: false
      String :print, null: false
      String :by, null: false, default: ""
      column :ends_at, :timestamptz, null: false
      column :used_at, :timestamptz
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :person_id], :people, key: [:workroom_id, :id], on_delete: :cascade
      index :print, unique: true
    end

    create_table(:lent_jobs) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :person_id, null: false
      Integer :job_id, null: false
      primary_key [:workroom_id, :person_id, :job_id]
      foreign_key [:workroom_id, :person_id], :people, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :job_id], :jobs, key: [:workroom_id, :id], on_delete: :cascade
    end
  end
end
