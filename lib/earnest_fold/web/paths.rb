# frozen_string_literal: true

require "uri"

module EarnestFold
  module Web
    # Every address of the application, once: for links and redirects with ids, for routes with their names (":id").
    module Paths
      # Where one may be led back to: a page of a job, and nothing outside.
      OF_JOB = %r{\A/jobs/\d{1,9}(/[\w-]+)*(\.\w+)?(\?[\w=&%-]+)?\z}
      OF_STATION = %r{\A/jobs/(?<job>\d{1,9})/treatments/(?<work>\d{1,9})/(?<station>[\w-]+)\z}

      module_function

      def home = "/"

      def today = "/today"

      def find = "/find"

      def keys = "/keys"

      # @param asked [Hash, String, nil] the figures that stand in the address, or {query} of them
      def reckon(asked = nil) = asking("/reckon", asked)

      # @param asked [Hash, String, nil]
      def reckon_beside(asked = nil) = asking("/reckon/beside", asked)

      # @param asked [Hash, String, nil]
      def reckon_near(asked = nil) = asking("/reckon/near", asked)

      # @param asked [Hash]
      # @return [String] as it stands in an address, for several addresses
      def query(asked) = URI.encode_www_form(asked)

      def keep_reckoned = "/reckon/keep"

      def measure_sheet = "/measure-sheet"

      def customers = "/customers"

      # @param to [String, nil] what is done with what is known of them
      def customer(id, to = nil) = under("/customers/#{id}", to)

      # @param key [String] a link's, for a customer
      # @param to [String, nil] the paper itself
      def for_customer(key, to = nil) = under("/for/#{key}", to)

      # A link that shows a customer a paper: made, or taken back.
      def paper_link(job, paper, to) = job(job, "papers/#{paper}/link/#{to}")

      # A letter to a customer.
      def letter(job, letter, to = nil) = under(job(job, "letters/#{letter}"), to)

      # What is outside of the house, and how it answers.
      def outside(to = nil) = under("/outside", to)

      # Slips as they went out.
      def slips(job, work, to = nil) = under(work(job, work, "slips"), to)

      def people = "/people"

      # @param to [String, nil] what is done with them
      def person(id, to = nil) = under("/people/#{id}", to)

      # Whether the house is well; whether its database is too; and the certificate to be trusted.
      def health = "/health"

      def ready = "/ready"

      def authority = "/authority.crt"

      # Whoever is signed in.
      def you = "/you"

      def you_at = "/you/workroom"

      def end_device = "/you/device"

      # Where the pages of signing in stand ({SignInPages}).
      def me = "/me"

      def sign_in = "/me/sign-in"

      def second_step = "/me/second-step"

      def sign_out = "/me/sign-out"

      def sign_in_demo = "/me/demo"

      # Where the application shows one of them; nobody can ask for it.
      def sign_in_shown = "/sign-in-page"

      # @param key [String] an invitation's
      def join(key) = "/join/#{key}"

      def jobs = "/jobs"

      def archive = "/jobs/archive"

      def import = "/jobs/import"

      # @param to [String, nil] "notes", "needs.pdf"; its first page without
      def job(id, to = nil) = under("/jobs/#{id}", to)

      def account(job) = job(job, "account")

      def paper(job, paper) = job(job, "papers/#{paper}.pdf")

      def paper_answer(job, paper) = job(job, "papers/#{paper}/answer")

      # @param to [String, nil] a station, or what else there is of a work: "changes", "slip.pdf"
      def work(job, work, to = nil) = under("/jobs/#{job}/treatments/#{work}", to)

      # @param code [String] as a label says it
      def scanned(code) = "/c/#{code}"

      # Where a mail server hands in what came back.
      def bounced = "/bounced"

      # Where a distance meter sends what it reads; and what of it waits at a work.
      def readings = "/readings"

      # @param to [String, nil] what is done with one
      def readings_at(job, work, to = nil) = under(work(job, work, "readings"), to)

      # @param version [Integer, String] of the work, as it was looked at
      def near(job, work, version) = "#{work(job, work, "near")}?version=#{version}"

      # @param station [String] the account is the whole job's
      #
      #   Web::Paths.station(1, 2, "account") # => "/jobs/1/account"
      def station(job, work, station) = (station == "account") ? account(job) : work(job, work, station)

      # @param step [Array(String, String), nil] its code and curtain; where one goes on without
      #
      #   Web::Paths.bench(1, 2, ["press_hem", "left"]) # => "/jobs/1/treatments/2/bench?step=press_hem&curtain=left"
      def bench(job, work, step = nil)
        asked = %w[step curtain].zip(step.to_a).reject { |_, value| value.to_s.empty? }
        asking(work(job, work, "bench"), asked.empty? ? nil : asked)
      end

      # Where a window is and what it is called.
      # @param back [String, nil] the page of the job from which one came
      def place(job, work, back = nil) =
        asking(work(job, work, "place"), back && [["back", back]])

      def came_in(job, work, to = nil) = under(work(job, work, "came-in"), to)

      # What is bought of a cloth for a job.
      def buying(job, cloth, to = nil) = under("/jobs/#{job}/buying/#{cloth}", to)

      # @param to [String, nil] what is done with a cloth's plan, or a paper of it
      def plan(job, cloth, to = nil) = under("/jobs/#{job}/cutting/#{cloth}", to)

      def table(job, cloth, to = nil) = under("/jobs/#{job}/table/#{cloth}", to)

      def cloths = "/cloths"

      def new_cloth = "/cloths/new"

      def cloth(id) = "/cloths/#{id}"

      def tapes = "/tapes"

      def new_tape = "/tapes/new"

      def tape(id) = "/tapes/#{id}"

      def shelf = "/shelf"

      def shelf_list = "/shelf.csv"

      def shelf_labels = "/shelf-labels.pdf"

      def print_shelf_labels = "/shelf-labels/print"

      def bring_in_pieces = "/shelf/bring-in"

      def errands = "/errands"

      # @param to [String, nil] what is done with it; "paper" is what was made
      # @param back [String, nil] where one came from
      #
      #   Web::Paths.errand(3, back: "/jobs/1/order.pdf") # => "/errands/3?back=%2Fjobs%2F1%2Forder.pdf"
      def errand(id, to = nil, back: nil) =
        back ? "/errands/#{id}?#{URI.encode_www_form(back: back)}" : under("/errands/#{id}", to)

      # @param cloth [Integer, nil] of which it is
      def new_piece(cloth = nil) = cloth ? "/shelf/new?cloth=#{cloth}" : "/shelf/new"

      def piece(id, to = nil) = under("/shelf/#{id}", to)

      def house = "/house-rules"

      def books = "/house-rules/books"

      def schools = "/house-rules/schools"

      def sets = "/house-rules/sets"

      def set(id) = "/house-rules/sets/#{id}"

      # @param week [String, nil] a day in it
      def diary(week = nil) = week ? "/diary?week=#{week}" : "/diary"

      def diary_moves = "/diary/moves"

      def diary_jobs = "/diary/jobs"

      def calendar = "/diary.ics"

      # @param key [String] a person's own, for programs that can't sign in
      def feed(key) = "/calendar/#{key}.ics"

      # @param to [String] "give" or "take"
      def your_calendar(to) = "/you/calendar/#{to}"

      # @param to [String, nil] what is done with one of them
      def your_meters(to = nil) = under("/you/meters", to)

      def wall = "/diary/wall.pdf"

      def written = "/books"

      def logbook = "/logbook"

      def logbook_list(ending) = "/logbook.#{ending}"

      def standard_times = "/logbook/times"

      # @param path [String, nil] from outside
      # @param stations [Array<String>]
      # @return [Array(String, String), nil] job and work, where it is one of these stations
      def of_station(path, *stations)
        match = OF_STATION.match(path.to_s)
        (match && stations.include?(match[:station])) ? [match[:job], match[:work]] : nil
      end

      # @param path [String, nil] from outside
      # @return [String, nil] the path where it is a page of a job
      def back_to_job(path) = path.to_s[OF_JOB]

      # @api private
      def under(path, to) = to ? "#{path}/#{to}" : path

      # @api private
      def asking(path, asked)
        return path unless asked

        "#{path}?#{asked.is_a?(String) ? asked : query(asked)}"
      end
    end
  end
end
