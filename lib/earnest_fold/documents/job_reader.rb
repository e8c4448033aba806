# frozen_string_literal: true

module EarnestFold
  module Documents
    # Reads a parsed job document into core values. Goes on past each problem, so that all are found at once.
    class JobReader
      R = Reckoning
      ID = R::Fields.new(id: R::Declare.id)
      # So many of each a document has at most: a workroom's largest job has a tenth of it.
      MOST = {
        "cloths" => 200,
        "tapes" => 100,
        "windows" => 200,
        "treatments" => 20,
        "alterations" => 200,
        "small_parts" => 500
      }.freeze
      private_constant :ID

      # @param raw [Object] plain values
      # @param problems [Reckoning::Problems]
      def initialize(raw, problems)
        @raw = raw
        @problems = problems
        @ids = Hash.new { |ids, sort| ids[sort] = [] }
      end

      # @return [Reckoning::Job, nil] nil where there is any problem
      def job
        return @problems.add(:not_an_object) unless @raw.is_a?(Hash)

        head = JobFormat::HEAD.read(@raw, R::Units::MM, @problems)
        @unit = R::Units::ALL.fetch(@raw["unit"], R::Units::MM)
        @tapes = tapes
        @cloths = each_of("cloths", required: true) { |raw, place| cloth(raw, place) }
        windows = each_of("windows", required: true) { |raw, place| window(raw, place) }
        alterations = each_of("alterations") { |raw, place| alteration(raw, place) }
        parts = each_of("small_parts") { |raw, place| small_part(raw, place) }
        return if @problems.any?

        R::Job.new(
          title: head[:title],
          unit: @unit,
          cloths: @cloths,
          windows: windows,
          alterations: alterations,
          small_parts: parts
        )
      end

      private

      def each_of(key, within: @raw, place: @problems, required: false)
        list = within.fetch(key) { return required ? place.within(key).add(:missing).to_a : [] }
        return place.within(key).add(:not_a_list).to_a unless list.is_a?(Array)
        return place.within(key).add(:too_many_items, most: MOST.fetch(key)).to_a if list.size > MOST.fetch(key)

        list.each_with_index.filter_map { |raw, index| yield(raw, place.within(key).within(index)) }
      end

      def cloth(raw, place)
        values = R::Cloth::FIELDS.read(raw, @unit, place)
        unique(:cloth, raw, place)
        values && R::Cloth.build(values, place)
      end

      # @return [Hash{String => Hash}] as they are written, each read once to find what is wrong with it
      def tapes
        each_of("tapes") do |raw, place|
          unique(:tape, raw, place)
          R::Tape::FIELDS.read(raw, @unit, place) && [raw["id"], raw]
        end
          .to_h
      end

      def window(raw, place)
        values = JobFormat::WINDOW.read(raw, @unit, place)
        return unless raw.is_a?(Hash)

        unique(:window, raw, place)
        treatments =
          each_of("treatments", within: raw, place: place, required: true) { |inner, at| treatment(inner, at) }
        R::Window.new(**(values || {id: "", room: "", name: ""}), treatments: treatments)
      end

      def treatment(raw, place)
        unique(:treatment, raw, place)
        @reader ||= R::TreatmentReader.new(
          @cloths.to_h { |cloth| [cloth.id, cloth] },
          @unit,
          faulty: @ids[:cloth] + @ids[:tape],
          tapes: @tapes
        )
        @reader.read(raw, place)
      end

      def alteration(raw, place)
        id, made = of_kind(R::Alterations, :alteration, raw, place)
        own = raw.is_a?(Hash) ? R::OwnCurtain::FIELDS.read(raw, @unit, place) : nil
        id && made && own && R::AlterationOfJob.new(id: id, alteration: made, curtain: R::OwnCurtain.new(**own))
      end

      def small_part(raw, place)
        id, made = of_kind(R::SmallParts, :small_part, raw, place)
        cloth = raw["cloth"] if raw.is_a?(Hash)
        place.within(:cloth).add(:no_such_cloth, id: cloth) unless cloth.nil? || @ids[:cloth].include?(cloth)
        id && made && R::SmallPartOfJob.new(id: id, part: made, cloth: cloth)
      end

      # Reads something with an id by the fields of the kind it names.
      def of_kind(registry, sort, raw, place)
        return place.add(:not_an_object) unless raw.is_a?(Hash)

        kind = registry[raw["kind"]]
        return place.within(:kind).add(:not_a_choice, words: registry.names) unless kind

        values = ID.read(raw, @unit, place)
        unique(sort, raw, place)
        fields = kind.fields.read(raw, @unit, place)
        [values && values[:id], fields && kind.build(fields, place)]
      end

      def unique(sort, raw, place)
        return unless raw.is_a?(Hash) && raw["id"].is_a?(String)

        place.within(:id).add(:same_id) if @ids[sort].include?(raw["id"])
        @ids[sort] << raw["id"]
      end
    end
  end
end
