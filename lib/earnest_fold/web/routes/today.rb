# frozen_string_literal: true

module EarnestFold
  module Web
    module Routes
      # What a day begins with.
      class Today < Handler
        get Paths.home, :home, to: Access::HOUSE
        get Paths.today, :show

        # Who doesn't make the whole begins with their own.
        OWN = {Store::People::FITTER => Paths.diary, Store::People::APPRENTICE => Paths.jobs}.freeze

        # Where there is no job yet, somebody reckons one.
        def home = go(OWN.fetch(who.role) { workroom.jobs.list.empty? ? Paths.reckon : Paths.today })

        def show
          diary = Work::Diary.of(workroom, house, Time.now)
          today = Work::Today.of(in_hand, diary)
          letters = workroom.letters.unsent.select(&:failed?)
          shown = Screens::Today.new(today, Screens::Diary.new(diary), open_stations, letters: letters,
            orders: workroom.orders.to_be_seen_to, reminders: reminders(today))
          page(:today, shown)
        end

        private

        # Where there is a post.
        def reminders(today)
          return [] unless Adapters::Post.configured

          near = today.near
          asked = workroom.letters.not_reminded(near.map { |one| one.sheet.job.id })
          near.select { |one| asked.include?(one.sheet.job.id) }
        end
      end
    end
  end
end
