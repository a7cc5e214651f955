# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Demo
    # A shop of ten years, for measuring: upon the small demo, a crowd of customers whose machines came in four times
    # each, and a catalogue of the parts and models of many makers. Everything follows from the numbers of the rows, so
    # that it is the same whenever it is made. It goes in by COPY, past the services; findings bear the verdicts that
    # the core gives.
    class TenYears
      CUSTOMERS = 100_000
      MACHINES_A_CUSTOMER = 1.5
      JOBS_A_MACHINE = 4
      FINDINGS_A_JOB = 10
      OPEN_JOBS = 60

      # @param now [Time]
      # @param customers [Integer] fewer make a smaller shop
      # @param say [#call] told what is going on
      def initialize(now: Time.now, customers: CUSTOMERS, say: proc {})
        @now = now
        @customers = customers
        @say = say
      end

      def call
        Load.new(now: @now, households: 12, fleets: 1, say: @say).call
        @plan = Plan.new(customers: @customers, machines: (@customers * MACHINES_A_CUSTOMER).to_i,
          jobs_a_machine: JOBS_A_MACHINE, today: Config::Zone.date(@now))
        Bulk.new(Tables.new(@plan).all, say: @say).call
        learn
        catalogue
        open_jobs
        @say.call "Ten years: reading the tables' statistics …"
        DB.tables.each { |table| DB.run("VACUUM ANALYZE #{DB.literal(table)}") }
      end

      private

      def learn
        @say.call "Ten years: what was learned from what was found …"
        Models::WearHistory.dataset.delete
        Models::WearHistory.draw(Models::Finding.dataset)
      end

      def catalogue
        catalogue = Catalogue.new(Models::Person.first.id, share: @customers.to_f / CUSTOMERS)
        Bulk.new(catalogue.all, say: @say).call
        catalogue.spread
      end

      # Machines that stand in the shop today, looked over before.
      def open_jobs
        machines = Models::Machine.where(id: (0...OPEN_JOBS)
          .map { |place| @plan.machine_id(place * @plan.machines / OPEN_JOBS) }).order(:id).all
        counter = Models::Person.first(role: "counter")
        machines.each_with_index do |machine, index|
          Services::TakeIn.call({ machine_id: machine.id, use: { hours_per_week: 2 }, complaint: "weak everywhere",
            request_key: SecureRandom.uuid },
            by: counter, at: @now - (index * 60))
        end
      end
    end
  end
end
