# frozen_string_literal: true

# The database guards itself, whatever asks it: what is named is there, what an invoice stands on can't go, no
# stretch of
# a piece is taken twice, what is only ever added to can't be changed, and every key begins with the workroom. Whether a
# treatment is made or altered stands in a column of its own.
Sequel.migration do
  keyed = %i[
    cloths jobs windows treatments pieces plans plan_cuts takings piece_events cutting_wishes changes bench_entries
    condition_notes photographs papers log_notes rule_sets people
  ]
  # What may change of a row that is only added to.
  added_to = {
    bench_entries: [], piece_events: [], log_notes: [], papers: [], condition_notes: %w[struck], changes: %w[taken_back]
  }
  # What a spec names, and where.
  named = {
    face_id: ["spec->>'face'", :cloths], lining_id: ["spec#>>'{lining,cloth}'", :cloths],
    interlining_id: ["spec#>>'{interlining,cloth}'", :cloths], rules_id: ["spec->>'rules'", :rule_sets]
  }

  up do
    run "CREATE EXTENSION IF NOT EXISTS btree_gist"

    keyed.each do |table|
      index = "#{table}_workroom_id_id_index"
      unique = from(:pg_indexes).where(schemaname: Sequel.lit("current_schema()"), indexname: index).any?
      run "ALTER TABLE #{table} DROP CONSTRAINT IF EXISTS #{table}_pkey"
      key = unique ? "USING INDEX #{index}" : "(workroom_id, id)"
      run "ALTER TABLE #{table} ADD CONSTRAINT #{table}_pkey PRIMARY KEY #{key}"
    end

    # Lengths are kept exactly, as a text. To compare them, in thousandths of a millimetre, no longer than they are.
    run <<~SQL
      CREATE FUNCTION thousandths(length text) RETURNS numeric IMMUTABLE STRICT LANGUAGE sql AS $$
        SELECT split_part(length, '/', 1)::numeric * 1000 / COALESCE(NULLIF(split_part(length, '/', 2), '')::numeric, 1)
      $$
    SQL
    run <<~SQL
      ALTER TABLE takings ADD COLUMN stretch int8range GENERATED ALWAYS AS (
        int8range(ceil(thousandths("from"))::bigint,
          GREATEST(floor(thousandths("to")), ceil(thousandths("from")))::bigint)) STORED
    SQL
    # What was taken twice before stays as it is: it is asked of what comes after.
    twice = fetch(<<~SQL).get(:last)
      SELECT max(GREATEST(one.id, other.id)) AS last FROM takings AS one JOIN takings AS other
        ON one.workroom_id = other.workroom_id AND one.piece_id = other.piece_id AND one.id < other.id
          AND one.stretch && other.stretch
    SQL
    run "ALTER TABLE takings ADD CONSTRAINT takings_apart " \
          "EXCLUDE USING gist (workroom_id WITH =, piece_id WITH =, stretch WITH &&) " \
          "#{"WHERE (id > #{twice})" if twice}"
    run "ALTER TABLE plan_cuts ADD CONSTRAINT forwards CHECK (thousandths(\"to\") >= thousandths(\"from\")) NOT VALID"

    run "ALTER TABLE treatments ADD COLUMN sort text NOT NULL " \
          "GENERATED ALWAYS AS (CASE WHEN spec ? 'kind' THEN 'altered' ELSE 'made' END) STORED"
    named.each do |column, (place, table)|
      number = "CASE WHEN #{place} ~ '^[0-9]{1,9}$' THEN (#{place})::integer END"
      run "ALTER TABLE treatments ADD COLUMN #{column} integer GENERATED ALWAYS AS (#{number}) STORED"
      run "ALTER TABLE treatments ADD CONSTRAINT treatments_#{column}_fkey FOREIGN KEY (workroom_id, #{column}) " \
            "REFERENCES #{table} (workroom_id, id) NOT VALID"
      run "CREATE INDEX treatments_#{column} ON treatments (workroom_id, #{column}) WHERE #{column} IS NOT NULL"
    end

    # Asked of what is new alone: what was left behind before stays as it is.
    [
      [:plan_cuts, :job_id, :jobs, "CASCADE"], [:plan_cuts, :cloth_id, :cloths, "CASCADE"],
      [:takings, :plan_cut_id, :plan_cuts, "SET NULL (plan_cut_id)"],
      [:takings, :offcut_id, :pieces, "NO ACTION DEFERRABLE INITIALLY DEFERRED"],
      [:pieces, :parent_id, :pieces, "NO ACTION DEFERRABLE INITIALLY DEFERRED"]
    ].each do |table, column, other, deleted|
      run "ALTER TABLE #{table} ADD CONSTRAINT #{table}_#{column}_fkey FOREIGN KEY (workroom_id, #{column}) " \
            "REFERENCES #{other} (workroom_id, id) ON DELETE #{deleted} NOT VALID"
    end
    run "CREATE INDEX takings_plan_cut ON takings (workroom_id, plan_cut_id) WHERE plan_cut_id IS NOT NULL"
    run "CREATE INDEX takings_offcut ON takings (workroom_id, offcut_id) WHERE offcut_id IS NOT NULL"
    run "CREATE INDEX pieces_parent ON pieces (workroom_id, parent_id) WHERE parent_id IS NOT NULL"
    run "CREATE INDEX plan_cuts_plan ON plan_cuts (workroom_id, plan_id)"

    # A whole workroom may go with its papers; a job that has one may not.
    run "ALTER TABLE papers DROP CONSTRAINT papers_workroom_id_job_id_fkey"
    run "ALTER TABLE papers ADD CONSTRAINT papers_job_id_fkey FOREIGN KEY (workroom_id, job_id) " \
          "REFERENCES jobs (workroom_id, id) ON DELETE NO ACTION DEFERRABLE INITIALLY DEFERRED"

    run <<~SQL
      CREATE FUNCTION only_added_to() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF to_jsonb(OLD) - COALESCE(TG_ARGV, '{}') IS DISTINCT FROM to_jsonb(NEW) - COALESCE(TG_ARGV, '{}') THEN
          RAISE EXCEPTION 'rows of % are only added to', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
        END IF;
        RETURN NEW;
      END $$
    SQL
    added_to.each do |table, but|
      run "CREATE TRIGGER only_added_to BEFORE UPDATE ON #{table} FOR EACH ROW " \
            "EXECUTE FUNCTION only_added_to(#{but.map { |column| "'#{column}'" }.join(", ")})"
    end
  end

  down do
    raise Sequel::Error, "what guards the tables stays"
  end
end
