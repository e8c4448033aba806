# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # What a job is called.
      class TitleForm < TextsForm
        NAMES, FIELDS, CALLED, MAIL = %w[title].freeze, Store::Jobs::FIELDS, "job", nil

        private

        def emptied(record, name, _key) = refuse(name, :title_missing) || record
      end
    end
  end
end
