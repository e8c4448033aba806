# frozen_string_literal: true

# What was sent and taken, by the key that the page gave it: an answer that was lost on its way is asked for again,
# and nothing is done twice. `print` tells two things apart that came under one key; `led_to` is where the first one
# led.
Sequel.migration do
  change do
    create_table(:taken_once) do
      foreign_key :workroom_id, :workrooms, null: false, on_delete: :cascade
      String :key, null: false
      String :print, null: false
      String :led_to, null: false, default: ""
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key [:workroom_id, :key, :print]
      index :at
    end
  end
end
