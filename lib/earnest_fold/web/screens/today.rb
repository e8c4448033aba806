# frozen_string_literal: true

require "forwardable"

module EarnestFold
  module Web
    module Screens
      # What a day begins with: what hands do next at each bench, what waits, what is promised, and the jobs as strips
      # of tape.
      class Today
        extend Forwardable

        # More windows than these aren't drawn on a strip.
        MOST_DRAWN = 8
        # So much of what waits is told; the rest stands at its job.
        MOST_WAITING = 12

        # @param today [Work::Today]
        # @return [Array<Store::Letters::Letter>] that didn't go, or came back
        attr_reader :letters
        # @return [Array<Store::Orders::Order>] that didn't go, or of which something waits to be taken in
        attr_reader :orders

        # @return [Array<Work::Today::Promise>] of which nobody has reminded the customer
        attr_reader :reminders

        # @param diary [Diary] in whose words a step is told
        # @param open [Array<String>] the stations that whoever looks may go to
        def initialize(today, diary, open, letters: [], orders: [], reminders: [])
          @today, @diary, @open, @letters, @orders, @reminders = today, diary, open, letters, orders, reminders
        end

        # @return [Boolean] whether anything from outside has to be seen to
        def from_outside? = [letters, orders, reminders].any?(&:any?)

        # @param promise [Work::Today::Promise]
        def reminder_says(promise) =
          Words.say("today.reminder", title: promise.sheet.job.title, day: day_words(promise.promised))

        # @return [String] why a letter didn't go
        def why(letter) = Words.say("letters.why.#{letter.why}")

        # @return [String] what is to be done about an order
        def order_says(order)
          title = sheets.find { |sheet| sheet.job.id == order.job_id }&.job&.title || order.number
          Words.say("today.order_#{order_outcome(order)}", title: title)
        end

        def_delegators :@today, :benches, :promised, :sheets
        def_delegators :@diary, :whose, :path, :day_words

        def page_title = Words.say("today.title")

        # @yieldreturn [String] all of it, as whoever looks may use it
        def shown(&block) = Fragments.of(@today, :shown, @open, &block)

        # @return [String] the day it is
        def day = Words.day(@today.diary.now.to_date)

        # @return [Array<Work::Today::Wait>]
        def waiting = @waiting ||= @today.waiting

        # @param wait [Work::Today::Wait]
        # @return [String] what waits
        def waits(wait) = [wait.entry&.title, wait.sheet.job.title].compact.join(", ")

        # @return [String] for what
        def for_what(wait)
          case wait.why
          when :stop then Words.check(wait.told, wait.sheet.unit)
          when :wanting then Words.say("today.wanting", what: Words.missing_of(wait.told, wait.sheet.unit))
          when :parts then Words.say("today.parts", parts: Words.short(wait.told, wait.sheet.unit))
          when :answer then unanswered(wait.told)
          else Words.say("today.#{wait.why}", day: day_words(wait.told))
          end
        end

        # @return [Array<Array(Work::Job, String)>] what customers answered lately
        def came_back = @today.came_back.map { |sheet, bill| [sheet, answered(bill)] }

        # @return [String] where a job's papers stand, for whoever may see them
        def bill_path(sheet) = @open.include?("account") ? Paths.account(sheet.job.id) : Paths.job(sheet.job.id)

        # @return [String] where it is put right
        def wait_path(wait)
          return bill_path(wait.sheet) if wait.why == :answer
          return Paths.job(wait.sheet.job.id) unless wait.entry

          station = (wait.why == :stop) ? stopped_at(wait) : wait.entry.following(@open)
          Paths.station(wait.sheet.job.id, wait.entry.id, station)
        end

        # @param placed [Reckoning::Diary::Laid]
        # @return [String] the first step of it
        def what(placed) = Words.steps(@today.diary.about(placed.task.key).steps.first(1))

        # @return [String, nil] how many steps come after that before the work leaves the bench
        def more(placed)
          rest = @today.diary.about(placed.task.key).steps.size - 1
          Words.say("today.steps_more", count: rest) if rest.positive?
        end

        # @param placed [Reckoning::Diary::Laid]
        # @return [String] "8:30", with the day where it isn't today
        def from(placed)
          time = @today.diary.time(placed.from)
          hour = time.strftime("%-H:%M")
          (time.to_date == @today.diary.now.to_date) ? hour : "#{day_words(time.to_date)}, #{hour}"
        end

        # @return [String] SVG of the work at a bench
        def silhouette(placed)
          about = @today.diary.about(placed.task.key)
          Pictures.silhouette(about.sheet, about.entry)
        end

        # @return [Array<Array(Work::AtWork, String)>] a job's works with their drawings
        def drawn(sheet) = sheet.works.first(MOST_DRAWN).map { |entry| [entry, Pictures.silhouette(sheet, entry)] }

        # @return [String] SVG: how far a job has come
        def strip(sheet)
          sheet.once(:strip) do
            behind, all = sheet.works.sum(&:behind), sheet.works.sum { |entry| entry.stations.size }
            says = Words.say("today.come", behind: behind, all: all)
            Drawings::TapeStrip.new(behind, all, stopped: stopped?(sheet), says: says).to_s
          end
        end

        # @return [String] where work goes on at one of its works
        def next_path(sheet, entry) = Paths.station(sheet.job.id, entry.id, entry.following(@open))

        private

        def order_outcome(order)
          return "failed" if order.failed?

          order.nothing? ? "refused" : "came"
        end

        def unanswered(bill) =
          Words.say("today.answer", paper: Words.paper(bill.kind, bill.number), day: day_words(day_of(bill)))

        def answered(bill)
          said = Words.say("papers.answered.#{bill.answer.said}")
          paper = Words.paper(bill.kind, bill.number)
          Words.say("today.answered", paper: paper, said: said, day: day_words(bill.answer.on))
        end

        # By the clock on the workroom's wall.
        def day_of(bill) = @today.diary.local(bill.at).to_date

        def stopped?(sheet) = sheet.works.any?(&:stop)

        # An alteration is put right where it is said what is done.
        def stopped_at(wait) = wait.entry.altered_as ? "alter" : Reckoning::Checks.station_of(wait.told)
      end
    end
  end
end
