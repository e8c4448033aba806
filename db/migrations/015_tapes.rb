# frozen_string_literal: true

# Tapes are things of the house: what a treatment's heading takes is one of them. Frill and tiebacks may be cut from
# another cloth, and a tuck under a band has steps of its own.
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

    # The tuck under a band and the one above a made hem are steps of their own now: what was ticked of the one stays.
    {"sew_tuck" => "sew_top_tuck", "cut_strip" => "cut_top_strip"}.each do |old, fresh|
      run <<~SQL
        INSERT INTO bench_entries (workroom_id, treatment_id, step, curtain, kind, by, at)
        SELECT workroom_id, treatment_id, '#{fresh}', curtain, 'done', by, at FROM (
          SELECT DISTINCT ON (entry.workroom_id, entry.treatment_id, entry.curtain)
            entry.workroom_id, entry.treatment_id, entry.curtain, entry.kind, entry.by, entry.at
          FROM bench_entries AS entry
          JOIN treatments AS work ON work.workroom_id = entry.workroom_id AND work.id = entry.treatment_id
          WHERE entry.step = '#{old}' AND entry.kind IN ('done', 'undone') AND work.spec->>'kind' = 'shorten_at_top'
          ORDER BY entry.workroom_id, entry.treatment_id, entry.curtain, entry.id DESC
        ) AS last WHERE kind = 'done'
      SQL
    end
  end

  down do
    raise Sequel::Error, "treatments name their tapes"
  end
end
