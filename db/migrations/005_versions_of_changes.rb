# frozen_string_literal: true

# At which version of its treatment a change was made, so that what a person was shown can be found again when
# somebody else was quicker.
Sequel.migration do
  change do
    add_column :changes, :version, Integer
  end
end
