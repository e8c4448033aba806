# frozen_string_literal: true

# When a copy of everything was made, and where it lies: told in the house, so that nobody finds out too late.
Sequel.migration do
  change do
    create_table(:copies) do
      Integer :id, identity: true, primary_key: true
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :name, null: false
      Bignum :bytes, null: false
    end
  end
end
