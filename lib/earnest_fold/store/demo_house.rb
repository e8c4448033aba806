# frozen_string_literal: true

module EarnestFold
  module Store
    # The demo house: Heron Ferry House, an old ferry inn being refitted room by room by Saltmarsh Lane Curtains.
    # Everything in it is invented.
    class DemoHouse
      TICKET_OFFICE = {
        "support" => {"kind" => "track", "length" => "180 cm"},
        "opening" => {"kind" => "pair"},
        "overlap" => "8 cm",
        "return_left" => "6 cm",
        "return_right" => "6 cm",
        "drop" => {
          "readings" => ["214 cm", "214.4 cm", "213.8 cm"],
          "taken_at" => %w[left middle right],
          "offset" => "-1 cm"
        },
        "heading" => {
          "kind" => "pencil_pleat",
          "fullness" => "2",
          "top_turn" => "4 cm",
          "tape_turn_in" => "3 cm",
          "hook_spacing" => "8 cm"
        },
        "making" => {
          "hem" => {"kind" => "double", "depth" => "8 cm"},
          "side" => {"kind" => "single", "depth" => "4 cm", "turn_under" => "1 cm"},
          "seam" => "1.5 cm"
        }
      }.freeze
      UPPER_LANDING = {
        "support" => {"kind" => "pole", "length" => "5 ft 7 1/2 in", "carriers" => 20},
        "opening" => {"kind" => "one_way_left"},
        "return_left" => "3 1/2 in",
        "drop" => {
          "readings" => ["81 3/8 in", "81 1/4 in"],
          "taken_at" => %w[left right],
          "stand_up" => "-1 1/4 in",
          "offset" => "-1/2 in"
        },
        "heading" => {
          "kind" => "pencil_pleat",
          "fullness" => {"percent_total" => "225"},
          "top_turn" => "1 in",
          "tape_turn_in" => "1 in",
          "hook_spacing" => "3 in"
        },
        "making" => {
          "hem" => {"kind" => "double", "depth" => "3 in"},
          "side" => {"kind" => "double", "depth" => "1 in"},
          "seam" => "5/8 in",
          "squaring" => "2 in"
        },
        "pattern" => {"place" => "top", "point" => "1 in"}
      }.freeze
      ON_HAND = {
        "hooks" => 140,
        "gliders" => 60,
        "rings" => 24,
        "weights" => 30,
        "tape_length" => "18 m",
        "buckram_length" => "25 m"
      }.freeze
      LANDING_LINING = {"lift" => "1 in", "inset" => "1 in", "side_turn" => "1/2 in", "top" => "1/2 in",
                        "hem" => {"kind" => "double", "depth" => "2 in"}}.freeze

      # Who works there, and as what.
      PEOPLE = {
        "Ida Marram" => People::OWNER,
        "Joss Teal" => People::MAKER,
        "Perrin Wick" => People::FITTER,
        "Lark Sedge" => People::APPRENTICE
      }.freeze
      # What they would sign in by.
      AT = "@heron-ferry.example"

      def initialize(workroom)
        @workroom = workroom
      end

      # Loads the house into an empty workroom; into one that isn't, only when told to start afresh.
      # @param reset [Boolean] takes away everything that is there first
      # @param whole [Boolean] every room of it, with every heading, method and alteration; else those most used
      # @param today [Date] from which its promises are counted
      # @return [Boolean] whether anything was loaded
      def load(reset: false, whole: false, today: Date.today)
        @today = today
        @workroom.transaction do
          take_away if reset
          next false unless [:jobs, :cloths].all? { |table| @workroom.rows(table).empty? }

          furnish(whole)
          true
        end
      end

      # Everything that is there, and whatever the house decided.
      EVERYTHING = %i[papers jobs customers cloths tapes people rule_sets paper_numbers supply told_wrong].freeze
      private_constant :EVERYTHING

      private

      def take_away
        EVERYTHING.each { |table| @workroom.rows(table).delete }
        Store.db[:accounts].where(Sequel.like(:login, "%#{AT}")).delete
        begun = %i[unit rules on_hand].to_h { |column| [column, Sequel.lit("DEFAULT")] }
        Store.db[:workrooms].where(id: @workroom.id).update(**begun, version: Sequel[:version] + 1)
      end

      def furnish(whole)
        cloths = Bolts::ALL.transform_values { |spec, colour| @workroom.cloths.create(spec, colour: colour).to_s }
        sets = @workroom.house.read.sets.to_h { |set| [set.name, set.id.to_s] }
        tapes = Tapes::ALL.transform_values { |spec| @workroom.tapes.create(spec).to_s }
        the_rest(cloths, sets) if whole
        Rooms::JOBS.each { |job| room(job, cloths, sets, tapes) }
        vestry
        @workroom.house.update(version: @workroom.house.read.version, on_hand: ON_HAND)
        Pieces::ALL.each do |key, pieces|
          pieces.each { |label, spec| @workroom.shelf.receive(cloths[key].to_i, label, spec) }
        end
        landing(cloths)
        office(cloths)
        timed
        people(whole)
      end

      # Everybody of the whole house can be touched on the page of signing in; they have no password.
      def people(whole)
        (whole ? PEOPLE : PEOPLE.first(2)).each do |name, role|
          id = @workroom.people.add(name, role: role, books: false)
          next unless whole

          @workroom.people.belongs(id, Accounts.create("#{name.downcase.tr(" ", ".")}#{AT}"))
          @workroom.people.lend(id, @workroom.jobs.list.first(2).map(&:id)) if role == People::APPRENTICE
        end
        Store.db[:workrooms].where(id: @workroom.id).update(demo: true) if whole
      end

      # Loaded first, so that the rooms most looked at were changed last.
      def the_rest(cloths, sets)
        guests
        newcomer(cloths)
        MoreRooms::JOBS.each { |job| room(job, cloths, sets, {}) }
      end

      # A window with nothing but what must be given, and one that nobody has measured.
      def newcomer(cloths)
        set = @workroom.house.read.starting_set
        id = @workroom.jobs.create(title: "Linen room", unit: "cm")
        unit = Reckoning::Units::CM
        {"Window" => MoreRooms::NEWCOMER.merge("face" => cloths["ferry"]), "Hatch" => StartingRules::UNMEASURED}
          .each { |name, spec| @workroom.windows(id).add(room: "", name: name, spec: set.applied(spec, unit)) }
      end

      def guests
        alterations = MoreRooms::GUESTS.map do |kind, name|
          Reckoning::Alterations.fetch(kind).example.merge("id" => name)
        end
        @workroom.jobs.bring_in(
          title: "Guests' own curtains",
          unit: "cm",
          extras: {"alterations" => alterations},
          cloths: {},
          windows: []
        )
      end

      def landing(cloths)
        job = @workroom.jobs.create(title: "Upper landing", unit: "in")
        lining = LANDING_LINING.merge("cloth" => cloths["sateen"])
        spec = UPPER_LANDING.merge("face" => cloths["tick"], "lining" => lining)
        @workroom.windows(job).add(room: "Upper landing", name: "Stair window", spec: spec)
        promised(job, "promised" => 9)
      end

      def office(cloths)
        job = @workroom.jobs.create(title: "Ticket office", unit: "cm")
        spec = TICKET_OFFICE.merge("face" => cloths["ferry"])
        @workroom.windows(job).add(room: "Ticket office", name: "Quay window", spec: spec)
      end

      # What the bench's clocks said of three jobs, and what was learnt of one: job, minutes by step and curtain.
      def timed
        Rooms::TIMED.each do |title, said|
          treatment = @workroom
            .jobs
            .find(@workroom.jobs.list.find { |line| line.title == title }.id)
            .treatments
            .first
            .id
          said.each do |(step, curtain), minutes|
            @workroom.bench.say(treatment, step, curtain, "corrected", value: minutes.to_s)
          end
          @workroom.logbook.note(treatment, **Rooms::LEARNT) if title == "Breakfast room"
        end
      end

      # Somebody's own curtains, with what was noted when they came in.
      def vestry
        id = @workroom.jobs.bring_in(
          title: "Ferry chapel",
          unit: "cm",
          extras: {"alterations" => Rooms::VESTRY},
          cloths: {},
          windows: []
        )
        promised(id, "promised" => 4)
        pair = @workroom.jobs.find(id).treatments.first.id
        @workroom.came_in.note(
          pair,
          sort: "mark",
          curtain: "left",
          across: 300,
          down: 860,
          words: "candle wax, two drops"
        )
        @workroom.came_in.note(pair, sort: "missing_hook", curtain: "right", across: 880, down: 30, words: "")
      end

      # A room of the house: its treatments name cloths and sets by their keys here.
      def room((title, unit, notes, windows), cloths, sets, tapes)
        id = @workroom.jobs.bring_in(
          title: title,
          unit: unit,
          extras: {},
          cloths: {},
          windows: windows.map do |place, name, layers|
            [place, name, layers.map { |spec| settled(spec, cloths, sets, tapes) }]
          end
        )
        @workroom.jobs.set_notes(id, notes, version: version(id))
        promised(id, Rooms::DATES.merge(MoreRooms::DATES).fetch(title, {}))
      end

      # @param dates [Hash{String => Integer}] so many days from today
      def promised(id, dates) =
        @workroom.jobs.set_dates(id, dates.transform_values { |days| (@today + days).iso8601 }, version: version(id))

      def version(id) = @workroom.jobs.find(id).version

      def settled(spec, cloths, sets, tapes)
        inner =
          %w[lining interlining]
            .select { |part| spec[part] }
            .to_h { |part| [part, spec[part].merge("cloth" => cloths.fetch(spec[part]["cloth"]))] }
        spec.merge(
          "face" => cloths.fetch(spec["face"]),
          **inner,
          **(spec["rules"] ? {"rules" => sets.fetch(spec["rules"])} : {}),
          **(spec["tape"] ? {"tape" => tapes.fetch(spec["tape"])} : {})
        )
      end
    end
  end
end
