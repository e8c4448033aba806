# frozen_string_literal: true

# A letter may take a slip along, as it was handed out.
Sequel.migration do
  change do
    alter_table(:letters) do
      add_column :slip_id, Integer
      add_foreign_key [:workroom_id, :slip_id], :slips, key: [:workroom_id, :id], on_delete: :cascade
    end
  end
end
