# frozen_string_literal: true

module EarnestFold
  module Background
    # One errand being done: a plan, which is kept under what it is made from, or a paper.
    class Doing
      # Seconds between two tellings of how far it is.
      TELLS = 0.3

      # @param workroom [Store::Workroom]
      # @param errand [Store::Errands::Errand]
      def initialize(workroom, errand)
        @workroom, @errand, @told = workroom, errand, 0
      end

      # @raise [Store::Missing] where what it is about is gone
      def call = errands.done(@errand.id, (@errand.sort == Store::Errands::PLAN) ? plan : paper)

      private

      def errands = @workroom.errands

      def about = @errand.about

      def job = @job ||= Work::Workroom.new(@workroom).job(about["job"])

      # As long as it takes; it is kept by whoever makes it.
      def plan
        Work::Cutting.of(job, @workroom).cloth(about["cloth"]).then { |cloth| [cloth.plan, cloth.best] }
        nil
      end

      def paper
        works = about["work"] ? [job.work(about["work"])] : job.works
        Documents::MakingPapers.named(about["file"], job, works, about["opens"]) { |parts| tell(parts, works.size) }
      end

      def tell(parts, of)
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        return if now - @told < TELLS

        @told = now
        errands.tell(@errand.id, parts, of)
      end
    end
  end
end
