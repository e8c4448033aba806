# frozen_string_literal: true

module EarnestFold
  module Web
    module Forms
      # The spec of an alteration that becomes another one: what both know is kept, what is new starts as the house
      # does it.
      module AlteredSpec
        R = Reckoning
        # What a kind starts from where nothing has been said yet.
        STARTS = {
          "hem" => {"kind" => "double", "depth" => "8 cm"},
          "existing_hem" => {"kind" => "double", "depth" => "8 cm"},
          "seam" => "1.5 cm",
          "top_allowance" => "9 cm",
          "fullness" => "2"
        }.freeze
        APPLICATIONS = %w[answers id].freeze

        module_function

        # @param kind [String] of alteration
        # @return [Hash] before anything is measured
        def fresh(kind, set, unit) = changed({}, kind, set, unit)

        # @param set [Store::RuleSet] whose headings a new one starts from
        # @return [Hash]
        def changed(spec, kind, set, unit)
          names = R::Alterations.fetch(kind).all_fields.names.map(&:to_s)
          starts = STARTS.slice(*names)
          if names.include?("heading")
            starts["heading"] = set
              .heading("pencil_pleat", unit)
              .then { |heading| {"fullness" => "2"}.merge(heading) }
          end
          {"kind" => kind}.merge(starts, spec.slice(*names, *APPLICATIONS))
        end
      end
    end
  end
end
