# frozen_string_literal: true

# What a customer answered to a quote or an order, and on which day. Only added to: the last answer is the one that
# counts.
Sequel.migration do
  up do
    create_table(:paper_answers) do
      Integer :id, identity: true, null: false
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      Integer :paper_id, null: false
      String :said, null: false
      Date :on, null: false
      String :by, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :id]
      foreign_key [:workroom_id, :paper_id], :papers, key: [:workroom_id, :id], on_delete: :cascade
      index [:workroom_id, :paper_id, :id]
      constraint(:said_known, said: %w[accepted declined])
    end
    run "CREATE TRIGGER only_added_to BEFORE UPDATE ON paper_answers FOR EACH ROW EXECUTE FUNCTION only_added_to()"
  end

  down { drop_table(:paper_answers) }
end
