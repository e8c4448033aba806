# frozen_string_literal: true

# The order of making was the house's; it is the treatment's now. What was chosen for the house stands at each of its
# sets and treatments, and what was ticked of a step stands at the steps that it became.
Sequel.migration do
  # By the house's school of lining; where an interlining is locked in first, that is the method.
  lined = {"bagged" => "bagged_hem_first", "tabled" => "tabled", "locked_in" => "locked_in"}
  # What headed first hemmed last, and so did a sides-first order of a rod pocket; of the others it is the nearest.
  unlined = {"heading_first" => "unlined_sides_first", "hem_first" => "unlined_hem_first"}
  # What a step's tick says of those that it became.
  became = {
    "put_on_heading" => %w[lay_tape sew_tape put_in_buckram sew_webbing sew_top sew_pocket],
    "form_heading" => %w[
      take_up_lining draw_up mark_pleats sew_pleats set_eyelets thread_rod set_tabs put_on_rings form_pleats
      set_grommets
    ],
    "lock_in_lining" => %w[slip_lining],
    "bag_lining" => %w[trim_lining match_centres tack_flap],
    "table_lining" => %w[table_face turn_sides_over trim_top],
    "press_and_tag" => %w[make_tabs]
  }

  up do
    from(:workrooms).select(:id, :rules).each do |house|
      rules = house[:rules].to_h
      school, order = rules["lining_school"] || "locked_in", rules["making_order"] || "hem_first"
      from(:treatments).where(workroom_id: house[:id], sort: "made").select(:id, :spec).each do |row|
        spec = row[:spec].to_h
        next if spec.key?("method")

        method = spec["interlining"] ? "interlined" : lined.fetch(school, "locked_in") if spec["lining"]
        method ||= unlined.fetch(order, "unlined_hem_first")
        from(:treatments)
          .where(workroom_id: house[:id], id: row[:id])
          .update(spec: Sequel.lit("spec || jsonb_build_object('method', ?::text)", method))
      end
      from(:rule_sets).where(workroom_id: house[:id]).select(:id, :spec).each do |row|
        spec = row[:spec].to_h
        metric = spec["metric"].to_h
        next if metric.key?("method")

        metric["method"] = lined.fetch(school, "locked_in") if metric.key?("lining")
        metric["method"] ||= unlined.fetch(order, "unlined_hem_first")
        from(:rule_sets)
          .where(workroom_id: house[:id], id: row[:id])
          .update(spec: Sequel.pg_jsonb(spec.merge("metric" => metric)))
      end
      from(:workrooms)
        .where(id: house[:id])
        .update(rules: Sequel.lit("rules - 'lining_school' - 'making_order'"))
    end

    became.each do |old, fresh|
      fresh.each do |step|
        run <<~SQL
          INSERT INTO bench_entries (workroom_id, treatment_id, step, curtain, kind, by, at)
          SELECT workroom_id, treatment_id, '#{step}', curtain, 'done', by, at FROM (
            SELECT DISTINCT ON (workroom_id, treatment_id, curtain) workroom_id, treatment_id, curtain, kind, by, at
            FROM bench_entries WHERE step = '#{old}' AND kind IN ('done', 'undone')
            ORDER BY workroom_id, treatment_id, curtain, id DESC
          ) AS last WHERE kind = 'done'
        SQL
      end
    end
  end

  down do
    raise Sequel::Error, "whose method it is stays"
  end
end
