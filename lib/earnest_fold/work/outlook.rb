# frozen_string_literal: true

module EarnestFold
  module Work
    # How a job stands as a whole: when it is promised and when it will be ready, what it comes to, and what it needs of
    # each cloth beside what lies on the shelf.
    class Outlook
      R = Reckoning
      # What a job needs of a cloth: `made` what is reckoned of it, `beside` what is cut beside the curtains (nil:
      # nothing), `there` what the job may take on the shelf, of so many `batches`, `cut` of so many `cuts` made.
      Need = R::Value.define(:made, :beside, :there, :batches, :cut, :cuts) do
        # @return [Reckoning::Cloth]
        def cloth = made.cloth

        # @return [Reckoning::Length] with what is cut beside the curtains
        def needed = made.length_needed + (beside || R::Length::ZERO)

        # Told as long as nothing is cut: from then on the pieces are shorter, and so is what is left to be cut.
        # @return [Reckoning::Length, nil] what is still to be bought, at least; nil where what is there may do
        def short = (cut.zero? && needed > there) ? cloth.to_order(needed - there) : nil
      end

      # @param sheet [Job]
      # @param workroom [Store::Workroom]
      # @param diary [Diary]
      def initialize(sheet, workroom, diary)
        @sheet, @workroom, @diary = sheet, workroom, diary
      end

      # @return [Date] the day on which one looks
      #
      #   outlook.today.to_s # => "2026-03-02"
      def today = @diary.now.to_date

      # @return [Date, nil]
      #
      #   outlook.promised.to_s # => "2026-03-20"
      def promised = Diary.date(@sheet.job, "promised")

      # @return [Date, nil] when its last step will be done, as the diary lies now; nil where nothing is left to do, or
      #   it isn't in the diary
      #
      #   outlook.ready.to_s # => "2026-03-06"
      def ready = @diary.plan.ready(@sheet.job.id)

      # @return [Boolean] whether it will be ready later than it was promised
      #
      #   outlook.late? # => false
      def late? = !!(promised && ready && ready > promised)

      # @return [Reckoning::Account::Statement, nil] what it comes to; nil where nothing of it is reckoned
      def account =
        @account ||= @sheet.works.any?(&:reckoning) ? Account.new(@sheet, clocks).statement : nil

      # @return [Array<Need>] one a cloth
      def needs
        @needs ||= cutting.cloths.map do |cut|
          Need.new(
            made: cut.reckoned,
            beside: beside[cut.cloth.id],
            there: there(cut),
            batches: cut.pieces.map { |record| record.piece.batch }.uniq,
            cut: cut.made.size,
            cuts: cut.cuts.size
          )
        end
      end

      # @return [Array<Store::Bills::Bill>] its papers, the last first
      def bills = @bills ||= @workroom.bills.of(@sheet.job.id)

      private

      # What the clocks said matters where work is asked by it, and nowhere else.
      def clocks
        school = @sheet.job.account["school"] || @sheet.house.account.school
        (school == "by_clock") ? @workroom.bench.clocks(@sheet.job.id, state: @sheet.said) : {}
      end

      def cutting = Cutting.of(@sheet, @workroom)

      def beside = @beside ||= @sheet.parts_needed

      # From where it begins on each piece: what is before is cut, or kept for other jobs.
      def there(cut) =
        cut.pieces.sum(R::Length::ZERO) { |record| record.piece.length - record.begins(@sheet.job.id) }
    end
  end
end
