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

    # What frill and tiebacks are cut from is named as the other cloths are.
    {tape: :tapes, trimming: :cloths}.each do |name, table|
      column = "#{name}_id"
      number = "CASE WHEN spec->>'#{name}' ~ '^[0-9]{1,9}$' THEN (spec->>'#{name}')::integer END"
      run "ALTER TABLE treatments ADD COLUMN #{column} integer GENERATED ALWAYS AS (#{number}) STORED"
      run "ALTER TABLE treatments ADD CONSTRAINT treatments_#{column}_fkey FOREIGN KEY (workroom_id, #{column}) " \
            "REFERENCES #{table} (workroom_id, id)"
      run "CREATE INDEX treatments_#{column} ON treatments (workroom_id, #{column}) WHERE #{column} IS NOT NULL"
    end
  end

  down do
    raise Sequel::Error, "treatments name their tapes"
  end
end
