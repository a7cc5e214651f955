# frozen_string_literal: true

require "json"

module UprightBench
  module Demo
    # Fills an empty database with Ropewalk Vacuum Repair: its shelf, its customers, two years of jobs, a bench in
    # every state. Everything goes through the services, from a fixed seed, with dates laid relative to `now`.
    #
    # In two parts, so that somebody who wants to see it need not wait for all of it: first the shop, what stands on its
    # bench today and what those machines went through; then the rest of the past, with what was written to customers.
    # The second part can be done beside a shop that is open already, by another process, and gone on with where it was
    # broken off: each job has its number, its dice and its place in time from the beginning.
    class Load
      SEED = 4610
      PASSWORD = "ropewalk-demo"
      STAFF = [["Ines Varga", "owner"], ["Tobiah Lund", "technician"], ["Marit Oyelaran", "technician"],
               ["Sunniva Pike", "counter"]].freeze
      FOLDER = File.expand_path(__dir__)
      RACK = 12
      HISTORY_DAYS = 730
      SET_UP_DAYS = 20 # between the first entries and the first job
      POLICIES = { "drying_temperature_c" => 21, "drying_humidity_percent" => 50, "labour_tax_percent" => 15.0,
                   "part_tax_percent" => 15.0 }.freeze

      # @return [Array<Array(String, String)>] e-mail and role of every demo sign-in
      def self.sign_ins
        STAFF.map { |name, role| [mail(name), role] }
      end

      # @return [Boolean] whether somebody could sign in with the demo's password
      def self.accounts?
        Models::Person.where(Sequel.function(:lower, :email) => sign_ins.map(&:first)).any?
      end

      def self.mail(name) = "#{name.split.first.downcase}@ropewalk.example.org"

      # @param now [Time]
      # @param households [Integer] fewer make a smaller demo
      # @param fleets [Integer]
      # @param history_days [Integer]
      # @param say [#call] told what is going on
      def initialize(now: Time.now, households: Names::HOUSEHOLDS, fleets: Names::FLEETS.size,
        history_days: HISTORY_DAYS, say: proc {})
        @households = households
        @fleets = fleets
        @now = now
        @say = say
        @today = Config::Zone.date(now)
        @history_days = history_days
        @begun = now - ((history_days + SET_UP_DAYS) * 86_400)
      end

      # @raise [RuntimeError] in production
      def call
        first
        rest
      end

      # The shop, and its bench as it is today.
      def first # rubocop:disable Metrics/AbcSize -- one thing after the other
        raise "the demo is not for production: everybody knows its password" if SETTINGS.production?

        @say.call "Loading the demo: the shop, its shelf and its customers …"
        DB.transaction { ground }
        refresh_statistics
        @say.call "Loading the demo: today's bench …"
        history.of(bench.machines) { |index| refresh_statistics if index == 20 }
        DB.transaction { [orders.before_the_count, count_shelf] }
        DB.transaction { bench.call }
        refresh_statistics
        DB.transaction { Counter.new(@now, staff).call(at: @now - 60) }
        Services::MakePlan.call(at: @now)
      end

      # Loads the past jobs of all other machines, and the cards that the shop sent.
      # @yieldparam done [Integer] jobs
      # @yieldparam all [Integer]
      def rest(&)
        return if whole?

        @say.call "Loading the demo: two years of jobs …"
        history.of(machines - bench.machines, cards: true, &)
        refresh_statistics
        DB.transaction do
          history.leave_the_shelf_as_it_was
          orders.today
          bookings
          Counter.count_drawer(last_moment, by: counter)
        end
      end

      private

      # The drawer was counted last, in one transaction with all that ends it.
      def whole?
        Models::DrawerCount.where(counted_at: last_moment).any?
      end

      def last_moment
        @now - 30
      end

      # So much comes in at once that the database would plan for empty tables.
      def refresh_statistics
        Config::Database.as_owner(DB) do |owner|
          owner.tables.each { |table| owner.run("ANALYZE #{owner.literal(table)}") }
        end
      end

      def ground
        hire
        shop
        sheets
        Shelf.new(owner, @begun).call
        Customers.new(sheets: @sheets, by: counter, at: @begun, today: @today, random: Random.new(SEED))
          .call(households: @households, fleets: @fleets)
        history.keep_numbers
      end

      def hire
        STAFF.each do |name, role|
          Services::AddPerson.call(name: name, email: self.class.mail(name), role: role, password: PASSWORD, at: @begun)
        end
      end

      def shop
        Models::Shop.create(id: 1, name: "Ropewalk Vacuum Repair", street: "Ferry Slip 3", **Names::PLACE,
          country: "CA", phone: "555-0199", email: "bench@ropewalk.example.org", tax_number: "555 0199 RT",
          storage_rule: "After a month we write once more. What nobody fetches within a year may be sold for parts.")
        Services::SavePolicies.call(POLICIES.merge("closed_days" => closed_days), by: owner, at: @begun)
        Models::Offer.create(minutes: 15, starts_on: Config::Zone.date(@begun), ends_on: @today + 60, first_only: true,
          created_by: owner.id, created_at: @begun)
        Services::Words.keep("de", Names::GERMAN, by: owner, at: @begun)
        BenchGauge.add(owner, @begun, @now)
        RACK.times { |index| Models::RackSlot.create(label: (index + 1).to_s) }
      end

      # Slip Day and Lantern Night, both well away from today so that the demo's bench is never closed for them.
      def closed_days
        { "Slip Day" => 40, "Lantern Night" => 130 }.map do |name, days|
          { "on" => (@today + days).iso8601, "name" => name, "yearly" => true }
        end
      end

      def sheets
        Dir["#{FOLDER}/sheets/*.json"].each do |file|
          Services::AddSheet.call(JSON.parse(File.read(file)), by: owner, at: @begun, note: "first version")
        end
        @sheets = Models::Sheet.all.to_h { |sheet| [sheet.title, sheet] }
      end

      # The machines that the demo made; a user may have added others since.
      def machines
        @machines ||= Models::Machine.where(created_at: @begun).order(:id).eager(:customer).all
      end

      def history
        @history ||= History.new(@now, @today - @history_days, staff, machines)
      end

      def bench
        @bench ||= Bench.new(@now, staff, machines)
      end

      # Those who said of late that they would come, and named a day.
      def bookings
        said = Models::Answer.where(kind: "will_come").reverse(:answered_at).limit(2).eager(:card).all
        day = Services::Policies.now.schedule.open_day(@today + 1)
        said.each do |answer|
          Services::MakeBooking.call(answer.card.customer, on: day, card: answer.card, by: counter, at: @now)
        end
      end

      def orders
        @orders ||= Orders.new(owner, @now, Random.new(SEED + 2))
      end

      # So that the demo starts with the stock its parts file says.
      def count_shelf
        Shelf.stock.each do |number, pieces|
          Services::CountStock.call(Models::Part.first(number: number), pieces: pieces, reason: "yearly count",
            by: owner, at: @now - (3 * 86_400))
        end
      end

      def staff
        @staff ||= STAFF.map { |name, _| Models::Person.first!(email: self.class.mail(name)) }
      end

      def owner
        staff[0]
      end

      def counter
        staff[3]
      end
    end
  end
end
