# frozen_string_literal: true

module EarnestFold
  module Work
    # For whom the jobs of the demo house are: the inn with its houses, a guest who brought a curtain of her own, and
    # somebody who was written down twice.
    class DemoCustomers
      INN = {
        name: "Heron Ferry House", mail: "inn@heron-ferry.example", phone: "01555 0140",
        address: "The Hard\nSallow Reach", notes: "Sabra Tallow keeps the house: ring before ten."
      }.freeze
      INN_HOUSES = [
        {name: "The inn", address: "The Hard\nSallow Reach", notes: "By the yard door, mind the dog."},
        {name: "Boathouse", address: "Slipway 2\nSallow Reach", notes: "Key hangs in the ticket office."},
        {name: "Ferry chapel", address: "Chapel Hard\nSallow Reach"}
      ].freeze
      # Which of the inn's houses a job is at, where it isn't the inn itself.
      ELSEWHERE = {"Boathouse" => "Boathouse", "Ferry chapel" => "Ferry chapel"}.freeze
      GUEST = {name: "Wenna Tern", phone: "01555 0177", address: "3 Weir Cottages\nSallow Reach"}.freeze
      TWICE = {name: "W. Tern", mail: "wenna@tern.example", phone: "01555/0177"}.freeze
      # A job of the guest's.
      GUESTS = "Studio"

      # @param workroom [Store::Workroom] with the demo house's jobs in it
      def initialize(workroom)
        @workroom = workroom
      end

      # @param today [Date]
      def load(today: Date.today)
        inn = customers.add(INN)
        houses = INN_HOUSES.to_h { |house| [house[:name], customers.add_house(inn, **house)] }
        guest = customers.add(GUEST)
        customers.add(TWICE)
        customers.consent(inn, "pictures", true, today)
        customers.consent(inn, "news", false, today)
        # The last changed last, so that the list stays as it was.
        @workroom.jobs.list.reverse_each do |line|
          next @workroom.jobs.set_customer(line.id, guest) if line.title == GUESTS

          @workroom.jobs.set_customer(line.id, inn, houses.fetch(ELSEWHERE.fetch(line.title, "The inn")))
        end
      end

      private

      def customers = @workroom.as(DemoProgress::AT_BENCH_BY).customers
    end
  end
end
