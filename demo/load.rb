# frozen_string_literal: true

require "json"

module UprightBench
  module Demo
    # Fills an empty database with Ropewalk Vacuum Repair: its shelf, its customers, two years of jobs, a bench in
    # every state. Everything goes through the services, from a fixed seed, with dates laid relative to `now`.
    class Load
      SEED = 4610
      PASSWORD = "ropewalk-demo"
      STAFF = [["Ines Varga", "owner"], ["Tobiah Lund", "technician"], ["Marit Oyelaran", "technician"],
               ["Sunniva Pike", "counter"]].freeze
      FOLDER = File.expand_path(__dir__)
      RACK = 12
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
      # @param say [#call] told what is going on
      def initialize(now: Time.now, households: Names::HOUSEHOLDS, fleets: Names::FLEETS.size, say: proc {})
        @households = households
        @fleets = fleets
        @now = now
        @say = say
        @random = Random.new(SEED)
        @today = Config::Zone.date(now)
        @begun = now - ((JobDays::HISTORY_DAYS + 20) * 86_400)
      end

      # @raise [RuntimeError] in production
      def call # rubocop:disable Metrics/AbcSize -- one thing after the other
        raise "the demo is not for production: everybody knows its password" if SETTINGS.production?

        @say.call "Loading the demo: the shop, its shelf and its customers …"
        DB.transaction { ground }
        refresh_statistics
        @say.call "Loading the demo: two years of jobs …"
        history
        @say.call "Loading the demo: today's bench …"
        DB.transaction { [Bench.new(@now, @staff, @machines).call, bookings] }
        refresh_statistics
        DB.transaction { orders.today }
        DB.transaction { Counter.new(@now, @staff).call(at: @now - 60) }
        Services::MakePlan.call(at: @now)
      end

      private

      # So much comes in at once that the database would plan for empty tables.
      def refresh_statistics
        Config::Database.as_owner(DB) do |owner|
          owner.tables.each { |table| owner.run("ANALYZE #{owner.literal(table)}") }
        end
      end

      def ground
        staff
        shop
        sheets
        @stock = Shelf.new(owner, @begun).call
        @machines = Customers.new(sheets: @sheets, by: counter, at: @begun, today: @today, random: @random)
          .call(households: @households, fleets: @fleets)
      end

      def staff
        @staff = STAFF.map do |name, role|
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
        BenchGauge.add(owner, @begun)
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

      def history
        days = JobDays.new(@today, @random)
        stays = @machines.flat_map { |machine| days.of(machine).map { |date| [date, machine] } }
          .sort_by { |date, machine| [date, machine.id] }
        cards = days_of_cards
        stays.each_with_index do |(date, machine), index|
          refresh_statistics if index == 20
          cards_until(cards, date)
          past_job(machine, date)
        end
        cards_until(cards, @today - 10)
        came_first
        DB.transaction { yearly_count }
      end

      # Customers came to the shop with their first machine, and not all on the day it began.
      def came_first
        first = Models::Job.group(:customer_id).select(:customer_id, Sequel.function(:min, :taken_in_at).as(:came_at))
        Models::Customer.from(:customers, first.as(:first))
          .where(Sequel[:first][:customer_id] => Sequel[:customers][:id])
          .update(created_at: Sequel[:first][:came_at])
      end

      def yearly_count
        orders.before_the_count
        count_shelf
      end

      def days_of_cards
        (1..8).map { |month| Services::Policies.now.schedule.open_day(@today - (month * 30)) }.sort
      end

      def past_job(machine, date)
        Shelf.restock(owner, at: Config::Zone.at(date, 8))
        Counter.count_weekly(Config::Zone.at(date, 8), by: counter)
        (@parcels ||= Parcels.new(counter, @today)).call(Config::Zone.at(date, 9))
        DB.transaction { PastJob.new(machine, date, technicians.sample(random: @random), counter, @random).whole }
      end

      def cards_until(cards, date)
        Post.new(owner, @random, @today).call(cards.shift) while cards.any? && cards.first < date
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

      # The shelf is counted once at the end, so that the demo starts with the stock its parts file says.
      def count_shelf
        @stock.each do |id, pieces|
          Services::CountStock.call(Models::Part.with_pk!(id), pieces: pieces, reason: "yearly count", by: owner,
            at: @now - (3 * 86_400))
        end
      end

      def owner
        @staff[0]
      end

      def technicians
        @staff[1, 2]
      end

      def counter
        @staff[3]
      end
    end
  end
end
