# frozen_string_literal: true

# Tapes are things of the house: what a treatment's heading takes is one of them.
Sequel.migration do
  up do
    create_table(:tapes) do
      column :id, :integer, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      column :spec, :jsonb, null: false
      Integer :version, null: false, default: 0
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
    end

    number = "CASE WHEN spec->>'tape' ~ '^[0-9]{1,9}$' THEN (spec->>'tape')::integer END"
    run "ALTER TABLE treatments ADD COLUMN tape_id integer GENERATED ALWAYS AS (#{number}) STORED"
    run "ALTER TABLE treatments ADD CONSTRAINT treatments_tape_id_fkey FOREIGN KEY (workroom_id, tape_id) " \
          "REFERENCES tapes (workroom_id, id)"
    run "CREATE INDEX treatments_tape_id ON treatments (workroom_id, tape_id) WHERE tape_id IS NOT NULL"
  end

  down do
    raise Sequel::Error, "treatments name their tapes"
  end
end
