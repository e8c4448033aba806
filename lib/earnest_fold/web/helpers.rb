# frozen_string_literal: true

require "cgi/escape"
require "digest"
require "securerandom"

module EarnestFold
  module Web
    # What the routes and the views share. Methods that end in `_html` give markup, everything they fill in escaped.
    module Helpers
      # @return [Store::Accounts::Who, nil] who is signed in
      def who = request.env[Access::WHO]

      # @return [Store::Workroom] theirs, in their name
      # @raise [Store::Missing] where nobody is signed in
      def workroom
        raise Store::Missing, "nobody is signed in" unless who

        @workroom ||= Store::Workroom.new(who.workroom_id, by: who.name)
      end

      # @param access [Access]
      # @return [Boolean] whether a link is worth showing
      def may?(access) = access.admits?(who, nil)

      # @return [Boolean] whether they see what money there is
      def books? = may?(Access::BOOKS)

      # @return [Boolean] whether all the work is theirs
      def maker? = may?(Access::MAKERS)

      # @return [Boolean] whether they work at jobs
      def at_job? = may?(Access::AT_JOB)

      # @return [Boolean] whether the workroom is theirs
      def owner? = may?(Access::OWNERS)

      # @param papers [Hash{String => String}] by their files
      # @return [Hash{String => String}] those of them that they may have
      def open_papers(papers) = papers.select { |file, _| may?(Access.paper(file)) }

      # @return [Boolean] whether they may go to that station
      def open_station?(name) = may?(Access.station(name))

      # @return [Array<String>] the stations that they may go to
      def open_stations = Work::Stations.names.select { |name| open_station?(name) }

      # @return [Boolean] whether there is a label printer
      def printer? = !Adapters::LabelPrinter.configured.nil?

      # So much of an address is remembered while somebody signs in.
      LONGEST_ASKED = 500

      # Whoever isn't signed in is asked to; what a page keeps waits for it. Whoever is may not.
      def turned_away
        if who
          DoorLog.note(request.env, :not_theirs, path: request.path_info)
          return failure(403, :not_yours)
        end
        return failure(401) unless request.get? && !htmx?

        session[Access::ASKED] = request.fullpath[0, LONGEST_ASKED]
        # Whoever's password was right goes on with the second step.
        redirect(to(session["account_id"] ? Paths.second_step : Paths.sign_in), 303)
      end

      # @return [Work::Workroom]
      def in_hand = @in_hand ||= Work::Workroom.new(workroom)

      # @return [Store::House::Record]
      def house = in_hand.house

      # @return [Array<String>] what of the house's rules can't be read, by its name
      def unread_rules
        in_hand.unread.map do |path|
          name, inner = path.split(".")
          inner ? Words.say("books.#{name}.#{inner}", default: inner) : Words.say("house_fields.#{name}", default: name)
        end
      end

      # @return [WallClock]
      def clock = @clock ||= WallClock.new(house.rules.diary.zone)

      # @param id [String] from the path
      # @return [Work::Job] of which each work is known to be sound
      def sheet(id) = in_hand.job(number(id))

      # @param id [String] from the path
      # @return [Work::Job] as it is
      def desk_sheet(id) = in_hand.job_as_it_is(number(id))

      # @param text [String]
      # @return [Integer]
      # @raise [Store::Missing] for what can be no id
      def number(text)
        raise Store::Missing, "no record" unless text.valid_encoding? && text.match?(/\A[1-9]\d{0,8}\z/)

        Integer(text, 10)
      end

      # @return [Integer] which page of a list was asked for, from 1
      def page_asked = params["page"].to_s.match?(/\A[1-9]\d{0,3}\z/) ? Integer(params["page"], 10) : 1

      # How often something is merged anew, where others save at the same moment.
      MOST_TRIES = 5

      # Done again from what stands there by then, where somebody saves at the same moment.
      # @raise [Store::Busy] where that never ends: the same again goes through
      def merged
        tries = 0
        begin
          yield
        rescue Store::Stale => stale
          ((tries += 1) < MOST_TRIES) ? retry : raise(Store::Busy, stale.message)
        end
      end

      # @param form [Forms::Merging]
      # @return [Integer] 409 where somebody else was at the same field, 422 where something can't be taken
      def status_of(form)
        return 200 if form.valid?

        form.clashes.any? ? 409 : 422
      end

      # A whole page, or for htmx its changing part alone.
      def page(view, screen, status: 200)
        status(status)
        content_type :html
        shown = Views.render(view, self, {screen: screen})
        htmx? ? shown : Views.render(:layout, self, {screen: screen}) { shown }
      end

      def partial(view, **locals) = Views.render(view, self, locals)

      # A partial of which a page has many alike: made once for whatever shows the same.
      # @param shown [Reckoning::Value] all that it is given
      # @return [String]
      def part(view, shown) = Fragments.part(view, shown) { partial(view, shown: shown) }

      # @param field [Screens::Field]
      # @param css [String] its classes
      # @return [String] markup; of one that stands on the page as it is, its place alone
      def field_html(field, css:)
        field.same? ? %(<div id="field-#{field.id}" data-same></div>) : partial(:_field, field: field, css: css)
      end

      def htmx? = request.env["HTTP_HX_REQUEST"] == "true"

      def csrf_token = @csrf_token ||= Rack::Protection::AuthenticityToken.token(session)

      # What every form of a page carries: the token, and a key of its own, so that it is done once however often it
      # is sent.
      def csrf_field
        @page_key ||= SecureRandom.uuid
        @forms = @forms.to_i + 1
        %(<input type="hidden" name="authenticity_token" value="#{csrf_token}">) +
          %(<input type="hidden" name="#{Once::KEY}" value="#{@page_key}-#{@forms}" autocomplete="off">)
      end

      # @return [DiskRoom]
      def disk_room = settings.disk_room

      def paths = Paths

      # What opens and folds by itself: a hand's own opening stands until the page thinks otherwise than before.
      # @return [String] attributes of a <details>
      def opened(open) = open ? "open data-open=\"yes\"" : "data-open=\"no\""

      # The places in the bar: the words' key, and the addresses under which one is there, that of the place first.
      PLACES = {
        "today.title" => [Paths.today],
        "reckon.title" => [Paths.reckon],
        "layout.jobs" => [Paths.jobs, Paths.import, Paths.customers],
        "layout.cloths" => [Paths.cloths, Paths.shelf, Paths.tapes],
        "diary.title" => [Paths.diary],
        "written.title" => [Paths.written, Paths.logbook],
        # Who doesn't see the books comes to the logbook by itself.
        "logbook.title" => [Paths.logbook],
        "layout.house" => [Paths.house, Paths.outside]
      }.freeze

      # For whom they are, where that isn't who makes.
      PLACES_OF = {
        "reckon.title" => Access::HOUSE,
        "layout.jobs" => Access::AT_JOB,
        "diary.title" => Access::WEEK,
        "written.title" => Access::BOOKS
      }.freeze

      # @return [Array<Array(String, String, Boolean)>] the address, the words, and whether one is there
      def places
        mine = PLACES.select { |key, _| may?(PLACES_OF.fetch(key, Access::MAKERS)) }
        mine = mine.except("logbook.title") if books?
        mine.map do |key, paths|
          here = paths.any? { |path| request.path_info == path || request.path_info.start_with?("#{path}/") }
          [paths.first, say(key), here]
        end
      end

      def asset(path) = "/#{path}?#{ASSETS.fetch(path)}"

      # @param key [String] of a sentence with places for fields
      # @param fields [Hash{Symbol => Screens::Field}]
      # @return [String] the sentence, each field at its place; a stop after it never stands alone on the next line
      def sentence_html(key, fields)
        Words.parted(key).map { |words, place, stop|
          next CGI.escapeHTML(words) unless place

          %(<span class="slot">#{partial(:_slot, field: fields.fetch(place)).strip}#{stop}</span>)
        }.join
      end

      # @param open [Boolean] whether it is open to whoever looks
      # @return [String] markup: words that lead somewhere; for whoever would be turned away they stand there alone
      def link_html(words, path, open) =
        open ? %(<a href="#{CGI.escapeHTML(path)}">#{CGI.escapeHTML(words)}</a>) : CGI.escapeHTML(words)

      # @return [Module] everything that is said: {Words}
      def wording = Words

      def say(key, **data) = Words.say(key, **data)

      # @param unit [Reckoning::Unit]
      # @return [String] the keys that a phone shows for a length: inches need a stroke and a space
      def length_keys(unit) = unit.inches? ? "text" : "decimal"

      # @param length [Reckoning::Length]
      # @return [String] the figure, its fraction set small
      def length_html(length, unit)
        return Words.length(length, unit) unless unit.inches?

        parts = Reckoning::LengthWriter.parts(length.on(unit), unit)
        fraction = parts.fraction && %(<span class="fraction">#{parts.fraction}</span>)
        "#{parts.sign}#{parts.whole}#{fraction}"
      end

      # @param value [Reckoning::Length, Rational, Integer]
      def figure_html(value, unit) =
        value.is_a?(Reckoning::Length) ? length_html(value, unit) : CGI.escapeHTML(Words.figure(value, unit))

      def expression_html(line, unit)
        Words.expression(line.expression, unit) { |figure| figure_html(figure, unit) }
      end

      # Digests, so that a browser fetches a new style or script as soon as there is one.
      SHIPPED = %w[app.css app.js half.js told.js journal.js keys.js icon.svg vendor/htmx.min.js
        vendor/idiomorph-ext.min.js].freeze
      ASSETS = SHIPPED.to_h { |path|
        [path, Digest::SHA256.hexdigest(File.read(File.join(EarnestFold.root, "public", path)))[0, 12]]
      }.freeze
    end
  end
end
