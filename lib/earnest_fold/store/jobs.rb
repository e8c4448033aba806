# frozen_string_literal: true

module EarnestFold
  module Store
    # Jobs with their windows, which {Windows} changes.
    class Jobs
      MOST_LISTED, MOST_USING = 30, 8
      # How long a title may be.
      FIELDS = Reckoning::Fields.new(title: Reckoning::Declare.text(Reckoning::Fields::REQUIRED, least: 1, most: 120))
      # Where a treatment names a cloth.
      USES = %i[face_id lining_id interlining_id trimming_id].map { |column| Sequel[:treatments][column] }.freeze
      # Of as many cloths as are looked at.
      USING = Remembered.new(100)
      # A job as it stands: everything that has to be taken apart as text.
      KEPT = [
        Sequel[:jobs][:id],
        :title,
        :unit,
        :version,
        Records.text(:extras, :extras),
        :notes,
        :archived,
        :invoiced,
        Records.text(:account, :account),
        Records.text(:dates, :dates),
        :customer_id,
        :house_id
      ].freeze
      # Its windows and the works at them, in order: of each the window's id, room and name, the work's id, and which
      # state of it this is. A job of dozens of windows is one row, and as it stands is told by comparing one text.
      STANDING = Sequel.lit(<<~SQL)
        COALESCE(json_agg(
          json_build_array(windows.id, windows.room, windows.name, treatments.id, #{Records.row_state(:treatments)})
          ORDER BY windows.position, windows.id, treatments.position, treatments.id), '[]')::text
      SQL
      AT_WINDOW = {workroom_id: Sequel[:windows][:workroom_id], window_id: Sequel[:windows][:id]}.freeze
      LAST_FIRST = %i[updated_at id].map { |column| Sequel.desc(Sequel[:jobs][column]) }.freeze
      ROOMS = Sequel.function(:string_agg, Sequel[:windows][:room], "\n")
        .order(Sequel[:windows][:position], Sequel[:windows][:id])
      ALTERED = Sequel.function(:count, Sequel[:treatments][:id])
      LISTED = [
        *%i[id title unit updated_at].map { |column| Sequel[:jobs][column] },
        (Sequel.function(:count, Sequel[:windows][:id]) - ALTERED).as(:windows),
        ALTERED.as(:altered),
        ROOMS.as(:rooms)
      ].freeze
      private_constant :USES, :USING, :KEPT, :STANDING, :AT_WINDOW, :LAST_FIRST, :ROOMS, :ALTERED, :LISTED

      def initialize(workroom)
        @workroom = workroom
      end

      # @param archived [Boolean] those in the archive, or those that aren't
      # @param page [Integer] from 1, MOST_LISTED to a page
      # @param only [Array<Integer>, nil] ids of those that may be among them; nil: all
      # @return [Array<Records::JobLine>] the last changed first
      def list(archived: false, page: 1, only: nil)
        Store.guard do
          given = {workroom: @workroom.id, archived: archived, after: (page - 1) * MOST_LISTED}
          rows = only ? lines(only).call(:select, **given) : Store.prepared(:jobs_listed, **given) { lines }
          rows.map { |row| line(row) }
        end
      end

      # @param id [Integer]
      # @return [Records::Job] with its windows and treatments, in order
      # @raise [Missing]
      def find(id)
        Store.guard do
          rows = Store.prepared(:whole_job, workroom: @workroom.id, job: id) { Jobs.whole_job }
          rows.empty? ? raise(Missing, "no job #{id}") : record_of(rows.first)
        end
      end

      # A job with its windows and their treatments, in one question: of which workroom ($workroom) and which ($job) is
      # to be given.
      # @return [Sequel::Dataset]
      def self.whole_job = whole(Store.db[:jobs].where(workroom_id: :$workroom, id: :$job))

      # @api private
      # @param jobs [Sequel::Dataset]
      # @param works [Sequel::Dataset] all works at windows, or those that are asked for
      def self.whole(jobs, works = at_windows) =
        jobs.select(*KEPT).select_append(works.select(STANDING).as(:standing))

      # @api private
      def self.at_windows = of_jobs(Store.db[:windows].left_join(:treatments, **AT_WINDOW))

      # @api private
      def self.of_jobs(works)
        window, job = Sequel[:windows], Sequel[:jobs]
        works.where(window[:workroom_id] => job[:workroom_id], window[:job_id] => job[:id])
      end

      # @param row [Hash] that of {whole_job}
      # @return [Records::Job]
      def record_of(row) = records([row]).first

      # @param cloth_id [Integer]
      # @return [Array<Records::Job>] those at work (not in the archive) that use the cloth, the last changed first, at
      #   most MOST_USING; of each only the work that uses it
      def using(cloth_id)
        Store.guard do
          found = Store.prepared(:jobs_using, workroom: @workroom.id, cloth: cloth_id) { last_using }
          USING.fetch([@workroom.id, found]) { with_their_works(found).freeze }
        end
      end

      # @param ids [Array<Integer>]
      # @return [Array<Records::Job>] those jobs, in that order, in one question
      def all(ids)
        return [] if ids.empty?

        Store.guard { placed(Jobs.whole(@workroom.rows(:jobs).where(id: ids)).all, ids) }
      end

      # @param words [String]
      # @return [Array<Array(Integer, String, String)>] jobs that have each of the words in their title, or at one of
      #   their windows: id, title, and where they were found
      def find_words(words)
        Store.guard do
          jobs = @workroom.rows(:jobs).left_join(:windows, workroom_id: @workroom.id, job_id: Sequel[:jobs][:id])
          Records.each_word(words)
            .reduce(jobs) { |those, word| those.where(having(jobs.escape_like(word))) }
            .order(Sequel[:jobs][:title], Sequel[:windows][:position])
            .limit(MOST_LISTED)
            .select_map([Sequel[:jobs][:id], :title, :room, :name])
            .map { |id, title, room, name| [id, title, [room, name].compact.reject(&:empty?).join(", ")] }
        end
      end

      # @return [Integer] its id
      def create(title:, unit:) = @workroom.insert(:jobs, title: title, unit: unit)[:id]

      # @param title [String]
      # @param version [Integer] as it was read
      # @raise [Missing, Stale]
      def rename(id, title, version:) = change(id, version: version, title: title)

      # @param unit [String] "cm", "mm" or "in"
      # @raise [Missing]
      def set_unit(id, unit) = change(id, unit: unit)

      # @param notes [String]
      # @param version [Integer] of the job, as it was read
      # @raise [Missing, Stale]
      def set_notes(id, notes, version:) = change(id, version: version, notes: notes)

      # @param account [Hash] what the job is asked for beside its work
      # @param version [Integer] of the job, as it was read
      # @raise [Missing, Stale]
      def set_account(id, account, version:) = change(id, version: version, account: Sequel.pg_jsonb(account))

      # @param dates [Hash{String => String}] what is promised and what is awaited
      # @param version [Integer] of the job, as it was read
      # @raise [Missing, Stale]
      def set_dates(id, dates, version:) = change(id, version: version, dates: Sequel.pg_jsonb(dates))

      # @param customer [Integer, nil] whose it is from now on
      # @param house [Integer, nil] one of theirs
      # @param version [Integer, nil] of the job, as it was read; nil where it doesn't matter whose it was
      # @raise [Missing, Stale] also where the customer or the house isn't there
      def set_customer(id, customer, house = nil, version: nil) =
        @workroom.transaction { change(id, version: version, customer_id: customer, house_id: customer && house) }

      # The small parts that are to be cut beside the curtains, changed.
      # @yieldparam parts [Array<Hash>] as they are kept
      # @yieldreturn [Array<Hash>]
      # @raise [Missing]
      def set_small_parts(id)
        @workroom.transaction do
          row = @workroom.rows(:jobs).where(id: id).for_no_key_update.first or raise Missing, "no job #{id}"
          extras = Records.plain(row[:extras])
          change(id, extras: Sequel.pg_jsonb(extras.merge("small_parts" => yield(extras.fetch("small_parts", [])))))
        end
      end

      # Into the archive, or out of it.
      # @raise [Missing]
      def archive(id, archived) = change(id, archived: archived)

      # A whole job at once, all of it or nothing ({WholeJob}).
      # @return [Integer] the job's id
      def bring_in(**whole) = @workroom.transaction { WholeJob.new(@workroom, **whole).bring_in }

      # @api private
      # @param version [Integer, nil] as it was read; nil where it doesn't matter what stood there
      # @raise [Missing, Stale]
      def touch(id, version: nil) = change(id, version: version)

      private

      def having(word) =
        Sequel.|(*%i[jobs windows].map { |table| Sequel.like(Sequel[table][:words], "%#{word}%") })

      def placed(rows, ids) = records(rows).sort_by { |job| ids.index(job.id) }

      # @param found [Array<Hash>] as {last_using} finds them
      def with_their_works(found)
        ids, works = found.map { |row| row[:id] }, found.map { |row| row[:works] }
        given = {workroom: @workroom.id, jobs: "{#{ids.join(",")}}", works: "{#{works.join(",")}}"}
        placed(Store.prepared(:whole_of_works, **given) { whole_of_works }, ids)
      end

      # Of each job only those works.
      def whole_of_works
        works = Jobs.of_jobs(Store.db[:windows].join(:treatments, **AT_WINDOW))
          .where(Sequel.lit("treatments.id = ANY(?::int[])", :$works))
        jobs = Store.db[:jobs].where(workroom_id: :$workroom).where(Sequel.lit("id = ANY(?::int[])", :$jobs))
        Jobs.whole(jobs, works)
      end

      def uses(cloth) = Sequel.or(USES.to_h { |column| [column, cloth] })

      # From the work to its jobs: whoever begins at the jobs looks through all of them.
      def last_using
        jobs = Sequel[:jobs]
        Store.db[:treatments]
          .where(Sequel[:treatments][:workroom_id] => :$workroom)
          .where(uses(:$cloth))
          .join(:windows, workroom_id: Sequel[:treatments][:workroom_id], id: Sequel[:treatments][:window_id])
          .join(:jobs, workroom_id: Sequel[:windows][:workroom_id], id: Sequel[:windows][:job_id])
          .where(jobs[:archived] => false)
          .group(jobs[:id], jobs[:updated_at])
          .order(Sequel.desc(jobs[:updated_at]), Sequel.desc(jobs[:id]))
          .limit(MOST_USING)
          .select(jobs[:id], Sequel.lit("string_agg(treatments.id::text, ',')").as(:works), state_of_works.as(:state))
      end

      def state_of_works =
        Versions.of_all(%i[treatments windows jobs].flat_map { |table| Versions.columns(table) })

      # @param version [Integer, nil] nil where it doesn't matter what stood there
      def change(id, version: nil, **values)
        Store.guard do
          job = @workroom.rows(:jobs).where(id: id)
          there = version ? job.where(version: version) : job
          next if there.update(**values, version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP) == 1

          raise job.empty? ? Missing : Stale, "job #{id}"
        end
      end

      # Of which workroom ($workroom), in the archive or not ($archived), $after how many.
      def lines(only = nil)
        among = {workroom_id: :$workroom, archived: :$archived, id: only}.compact
        of_page = Store.db[:jobs].where(among).order(*LAST_FIRST).limit(MOST_LISTED, :$after)
        Store.db[of_page.as(:jobs)]
          .left_join(:windows, workroom_id: Sequel[:jobs][:workroom_id], job_id: Sequel[:jobs][:id])
          .left_join(:treatments, **AT_WINDOW, sort: "altered")
          .group(Sequel[:jobs][:id], :title, :unit, Sequel[:jobs][:updated_at])
          .order(*LAST_FIRST)
          .select(*LISTED)
      end

      def line(row)
        Records::JobLine.new(
          id: row[:id],
          title: row[:title],
          unit: row[:unit],
          windows: row[:windows],
          altered: row[:altered],
          updated_at: row[:updated_at],
          rooms: row[:rooms].to_s.split("\n").reject(&:empty?).uniq
        )
      end

      # @param rows [Array<Hash>] as {whole} gives them
      def records(rows)
        standing = rows.map { |row| Sequel.parse_json(row[:standing]) }
        states = standing.flatten(1).to_h { |work| work.last(2) }
        treatments = @workroom.treatments.in_states(states.except(nil))
        rows.zip(standing).map { |row, works| record(row, windows(works, treatments)) }
      end

      def record(row, windows)
        Records::Job.new(
          id: row[:id],
          title: row[:title],
          unit: row[:unit],
          version: row[:version],
          extras: Records.parsed(row[:extras]),
          notes: row[:notes],
          archived: row[:archived],
          invoiced: row[:invoiced],
          account: Records.parsed(row[:account]),
          dates: Records.parsed(row[:dates]),
          customer_id: row[:customer_id],
          house_id: row[:house_id],
          windows: windows
        )
      end

      # @param works [Array<Array>] the job's, one window after the other
      def windows(works, treatments)
        works
          .chunk_while { |one, other| one.first == other.first }
          .map { |of_one|
            id, room, name = of_one.first
            there = of_one.filter_map { |work| treatments[work[3]] }
            Records::Window.new(id: id, room: room, name: name, treatments: there.freeze)
          }
          .freeze
      end
    end
  end
end
