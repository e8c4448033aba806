# frozen_string_literal: true

# For whom a workroom works: customers with their houses and what they allowed; whose job is whose; links that show a
# customer one paper, of which only a print is kept; and slips as they went out. What a customer answers says by which
# link and in which name.
Sequel.migration do
  up do
    create_table(:customers) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :name, null: false
      String :mail, null: false, default: ""
      String :phone, null: false, default: ""
      String :address, null: false, default: ""
      String :notes, null: false, default: ""
      Integer :version, null: false, default: 1
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      constraint(:named) { Sequel.function(:btrim, :name) !~ "" }
    end
    # A telephone's figures are found however they are parted.
    run <<~SQL
      ALTER TABLE customers ADD COLUMN words text GENERATED ALWAYS AS (lower(name || ' ' || mail || ' ' || phone || ' '
        || regexp_replace(phone, '\\D', '', 'g') || ' ' || address || ' ' || notes)) STORED
    SQL
    run "CREATE INDEX customers_by_name ON customers (workroom_id, lower(name), id)"

    create_table(:customer_houses) do
      Integer :id, identity: true, null: false
      Integer :workroom_id, null: false
      Integer :customer_id, null: false
      String :name, null: false
      String :address, null: false, default: ""
      String :notes, null: false, default: ""
      primary_key [:workroom_id, :id]
      unique [:workroom_id, :customer_id, :id]
      foreign_key [:workroom_id, :customer_id], :customers, key: [:workroom_id, :id], on_delete: :cascade
    end
    run "ALTER TABLE customer_houses ADD COLUMN words text GENERATED ALWAYS AS " \
          "(lower(name || ' ' || address || ' ' || notes)) STORED"

    create_table(:customer_consents) do
      Integer :id, identity: true, null: false
      Integer :workroom_id, null: false
      Integer :customer_id, null: false
      String :sort, null: false
      TrueClass :given, null: false
      Date :on, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :customer_id], :customers, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :customer_id, :sort, :id]
      constraint(:sort_known, sort: %w[news pictures])
    end

    alter_table(:jobs) do
      add_column :customer_id, Integer
      add_column :house_id, Integer
      add_foreign_key [:workroom_id, :customer_id], :customers, key: [:workroom_id, :id]
      # Where two customers become one, their houses go over, and the jobs at them.
      add_foreign_key [:workroom_id, :customer_id, :house_id], :customer_houses,
        key: [:workroom_id, :customer_id, :id], on_update: :cascade
      add_constraint(:house_of_somebody) { (house_id =~ nil) | (customer_id !~ nil) }
      add_index [:workroom_id, :customer_id]
    end

    create_table(:slips) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      column :content, :jsonb, null: false
      column :file, :bytea, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :treatment_id, :id]
    end

    create_table(:customer_links) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :paper_id
      Integer :slip_id
      String :print, null: false, unique: true
      column :ends_at, :timestamptz, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :paper_id], :papers, key: [:workroom_id, :id], on_delete: :cascade
      foreign_key [:workroom_id, :slip_id], :slips, key: [:workroom_id, :id], on_delete: :cascade
      constraint(:of_one) { Sequel.function(:num_nonnulls, :paper_id, :slip_id) =~ 1 }
      index [:workroom_id, :paper_id]
      index [:workroom_id, :slip_id]
    end

    alter_table(:paper_answers) do
      set_column_allow_null :paper_id
      add_column :slip_id, Integer
      add_column :name, String, null: false, default: ""
      add_column :link_id, Integer
      add_foreign_key [:workroom_id, :slip_id], :slips, key: [:workroom_id, :id], on_delete: :cascade
      add_constraint(:of_one) { Sequel.function(:num_nonnulls, :paper_id, :slip_id) =~ 1 }
      add_index [:workroom_id, :slip_id, :id]
      # However often it is sent: a link is answered once.
      add_index [:workroom_id, :link_id], unique: true, where: Sequel.lit("link_id IS NOT NULL")
    end

    # That somebody was forgotten, and how much of theirs: not who.
    create_table(:erasures) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :customer_id, null: false
      column :counts, :jsonb, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
    end

    # Rows that are only added to stay as they are, but for what of them is somebody's who is to be forgotten.
    run <<~SQL
      CREATE OR REPLACE FUNCTION only_added_to() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF current_setting('earnest_fold.forgetting', true) = 'yes' THEN
          RETURN NEW;
        END IF;
        IF to_jsonb(OLD) - COALESCE(TG_ARGV, '{}') IS DISTINCT FROM to_jsonb(NEW) - COALESCE(TG_ARGV, '{}') THEN
          RAISE EXCEPTION 'rows of % are only added to', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
        END IF;
        RETURN NEW;
      END $$
    SQL
    %w[customer_consents slips erasures].each do |table|
      run "CREATE TRIGGER only_added_to BEFORE UPDATE ON #{table} FOR EACH ROW EXECUTE FUNCTION only_added_to" \
            "(#{"'customer_id'" if table == "customer_consents"})"
    end
  end

  down { raise Sequel::Error, "who is whose customer stays" }
end
