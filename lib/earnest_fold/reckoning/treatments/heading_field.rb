# frozen_string_literal: true

module EarnestFold
  module Reckoning
    # The field of a treatment that holds its heading: read by the fields of the kind it names.
    class HeadingField < Value.define
      include FieldKinds::Kind

      def read(raw, unit, problems)
        return problems.add(:not_an_object) unless raw.is_a?(Hash)

        kind = Headings[raw["kind"]]
        return problems.within(:kind).add(:not_a_choice, words: Headings.names) unless kind

        values = kind.fields.read(raw, unit, problems)
        values && kind.build(values, problems)
      end

      def keep(raw, unit) = inner(raw).keep(raw, unit)

      def write(kept) = inner(kept).write(kept)

      # @return [Fields] of the kind it names; nothing but the name where it names none
      #
      #   Treatment::FIELDS.fetch(:heading).kind.inner({"kind" => "wave"}).names.first # => :kind
      def inner(kept) = (kind = kept && Headings[kept["kind"]]) ? kind.all_fields : HEADING_NAME

      def schema = FieldKinds.kinds_schema(Headings, &:filled_by_tape)
    end
  end
end
