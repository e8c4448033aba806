# frozen_string_literal: true

# Somebody else's curtains. An alteration is kept as a treatment is (its spec has a `kind`): changed, taken back and
# said at the bench alike. What came with earlier documents and lay with the job becomes such rows. What was noted of
# the curtains when they came in is only added to; photographs lie in the database as they were encoded anew. At the
# bench a measure says at which edge it was taken.
Sequel.migration do
  up do
    alter_table(:bench_entries) { add_column :place, String, null: false, default: "" }

    create_table(:condition_notes) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      String :sort, null: false
      String :curtain, null: false, default: ""
      Integer :across, null: false
      Integer :down, null: false
      String :words, null: false, default: ""
      String :by, null: false, default: ""
      TrueClass :struck, null: false, default: false
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :treatment_id, :id]
      constraint(:places_in_thousandths) { (across >= 0) & (across <= 1000) & (down >= 0) & (down <= 1000) }
    end

    create_table(:photographs) do
      primary_key :id
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :treatment_id, null: false
      column :image, :bytea, null: false
      Integer :width, null: false
      Integer :height, null: false
      String :words, null: false, default: ""
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key [:workroom_id, :treatment_id], :treatments, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :treatment_id, :id]
    end

    from(:jobs)
      .where(Sequel.lit("extras->'alterations' IS NOT NULL"))
      .select(:workroom_id, :id, Sequel.cast(:extras, String).as(:kept))
      .all
      .each do |row|
        workroom, job, kept = row[:workroom_id], row[:id], Sequel.parse_json(row[:kept])
        position = from(:windows).where(workroom_id: workroom, job_id: job).max(:position).to_i
        kept
          .delete("alterations")
          .each do |alteration|
            position += 1
            window =
              from(:windows)
                .returning
                .insert(workroom_id: workroom, job_id: job, position: position, name: alteration["id"].to_s[0, 80])
                .first[
                :id
              ]
            from(:treatments).insert(
              workroom_id: workroom,
              window_id: window,
              position: 1,
              spec: Sequel.lit("?::jsonb", Sequel.object_to_json(alteration))
            )
          end
        from(:jobs).where(id: job).update(extras: Sequel.lit("?::jsonb", Sequel.object_to_json(kept)))
      end
  end

  down do
    raise Sequel::Error, "alterations would be lost"
  end
end
