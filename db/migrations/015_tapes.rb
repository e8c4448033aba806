# frozen_string_literal: true

# Tapes are things of the house: what a treatment's heading takes is one of them. Frill and tiebacks may be cut from
# another cloth, and a tuck under a band has steps of its own.
Sequel.migration do
  up do
    # What was ticked last of one step stands at another, for works of a kind.
    carry = lambda do |old, fresh, kind|
      run <<~SQL
        INSERT INTO bench_entries (workroom_id, treatment_id, step, curtain, kind, by, at)
        SELECT workroom_id, treatment_id, '#{fresh}', curtain, 'done', by, at FROM (
          SELECT DISTINCT ON (entry.workroom_id, entry.treatment_id, entry.curtain)
            entry.workroom_id, entry.treatment_id, entry.curtain, entry.kind, entry.by, entry.at
          FROM bench_entries AS entry
          JOIN treatments AS work ON work.workroom_id = entry.workroom_id AND work.id = entry.treatment_id
          WHERE entry.step = '#{old}' AND entry.kind IN ('done', 'undone') AND work.spec->>'kind' = '#{kind}'
          ORDER BY entry.workroom_id, entry.treatment_id, entry.curtain, entry.id DESC
        ) AS last WHERE kind = 'done'
      SQL
    end

    create_table(:tapes) do
      column :id, :integer, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      column :spec, :jsonb, null: false
      Integer :version, null: false, default: 0
      column :updated_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
    end

    # What was let through under these names named nothing that there was.
    run "UPDATE treatments SET spec = spec - 'tape' - 'trimming' " \
          "WHERE jsonb_exists_any(spec, ARRAY['tape', 'trimming'])"

    # What frill and tiebacks are cut from is named as the other cloths are.
    {tape: :tapes, trimming: :cloths}.each do |name, table|
      column = "#{name}_id"
      number = "CASE WHEN spec->>'#{name}' ~ '^[0-9]{1,9}$' THEN (spec->>'#{name}')::integer END"
      run "ALTER TABLE treatments ADD COLUMN #{column} integer GENERATED ALWAYS AS (#{number}) STORED"
      run "ALTER TABLE treatments ADD CONSTRAINT treatments_#{column}_fkey FOREIGN KEY (workroom_id, #{column}) " \
            "REFERENCES #{table} (workroom_id, id)"
      run "CREATE INDEX treatments_#{column} ON treatments (workroom_id, #{column}) WHERE #{column} IS NOT NULL"
    end

    # A heading that was put on is its own steps now.
    %w[
      turn_top lay_tape sew_tape draw_up put_in_hooks put_in_buckram mark_pleats sew_pleats sew_top set_eyelets
      take_up_lining sew_pocket thread_rod make_tabs set_tabs put_on_rings sew_webbing form_pleats set_grommets
    ].each { |step| carry.call("put_on_new_heading", step, "new_heading") }

    # The tuck under a band and the one above a made hem are steps of their own now: what was ticked of the one stays.
    carry.call("sew_tuck", "sew_top_tuck", "shorten_at_top")
    carry.call("cut_strip", "cut_top_strip", "shorten_at_top")
  end

  down do
    raise Sequel::Error, "treatments name their tapes"
  end
end
