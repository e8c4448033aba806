# frozen_string_literal: true

# A person's own address of the diary's calendar, for programs that can't sign in: of its key only a print is kept.
Sequel.migration do
  change do
    alter_table(:people) do
      add_column :calendar_print, String
      add_index :calendar_print, unique: true
    end
  end
end
