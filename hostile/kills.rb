# frozen_string_literal: true

require_relative "clerk"
require_relative "doings"
require_relative "instance"
require_relative "ledger"

module Hostile
  # Web, worker and database killed at random while machines come in, findings are saved, estimates agreed to, parts
  # received and sold, and a batch of cards leaves. Then everything that was answered for is looked up: nothing may be
  # missing, nothing twice.
  class Kills
    include UprightBench
    include Doings

    WHAT = %i[web worker database].freeze
    BETWEEN_SECONDS = (0.5..3.0)
    ESTIMATES = 400
    QUIET_SECONDS = 300 # for the last cards to leave

    # @param instance [Instance] up, with the demo
    # @param times [Integer] kills
    # @param cards [Integer]
    def initialize(instance, times:, cards:, seed:, out: $stdout)
      @instance = instance
      @times = times
      @cards = cards
      @random = Random.new(seed)
      @out = out
      @going = true
      @lock = Mutex.new
    end

    # @return [Boolean] whether nothing was lost and nothing doubled
    def call
      prepare
      @instance.watch
      workers = [[:take_in, 2], [:find, 2], [:receive, 1], [:sell, 2], [:agree, 1]]
        .flat_map { |what, count| Array.new(count) { |n| Thread.new { keep_on(what, n) } } }
      @batch = Services::SendCards.call(by: owner, at: Time.now, chosen: @posted, at_once: true, until_on: today + 365)
      kill
      @going = false
      workers.each(&:join)
      wait_for_the_batch
      tell
    end

    private

    def owner
      @owner ||= Models::Person.first(role: "owner")
    end

    def today
      Config::Zone.date(Time.now)
    end

    # Customers for the cards, and estimates to agree to; open at all hours.
    def prepare
      @clerk = Clerk.new(@instance.wire)
      @out.puts "Preparing #{@cards} customers and #{ESTIMATES} estimates …"
      open_always
      sheet = Models::Sheet.first(model_name: "Loft K")
      @posted = Array.new(@cards) do |n|
        customer_with_machine("Card #{n}", sheet, email: "card#{n}@example.org", email_agreed: true)
      end
      set_clocks
      @estimates = Array.new(ESTIMATES) { |n| sent_estimate(customer_with_machine("Estimate #{n}", sheet)) }
      @parts = stocked_parts
      @sheet = sheet
      @ledger = Ledger.new(parts: @parts, posted: @posted)
    end

    # More than are sold meanwhile.
    def stocked_parts
      parts = Models::Part.order(:id).limit(20).all
      parts.each { |part| Services::MoveStock.call(part, pieces: 10_000, kind: "received", by: owner, at: Time.now) }
      parts.map(&:id)
    end

    def set_clocks
      machines = Models::Machine.where(customer_id: @posted)
      machines.eager(:sheet).all.each { |machine| Services::SetClocks.call(machine, on: today) }
      Models::Due.running.where(machine_id: machines.select(:id))
        .update(due_on: today + 5, early_on: nil, late_on: nil)
    end

    def open_always
      hours = Core::Policies::Week::DAYS.keys.to_h { |day| [day, { "00:00" => "24:00" }] }
      Services::SavePolicies.call({ "open_hours" => hours, "closed_days" => [] }, by: owner, at: Time.now)
    end

    def customer_with_machine(name, sheet, **more)
      customer = Models::Customer.create(name: name, created_by: owner.id, **more)
      Services::AddMachine.call(customer, sheet_id: sheet.id, bought_on: today - 400, by: owner, at: Time.now)
      customer.id
    end

    # @return [Array(Models::Job, Integer)] and the estimate's id
    def sent_estimate(customer_id)
      job = Services::TakeIn.call({ machine_id: Models::Machine.where(customer_id: customer_id).get(:id),
        use: { hours_per_week: 1 }, complaint: "weak", request_key: SecureRandom.uuid }, by: owner, at: Time.now)
      look_over(job.number)
      [job.refresh, Services::SendEstimate.call(job.number, by: owner, at: Time.now).id]
    end

    def look_over(number)
      seen = { observed: { state: "dirty" }, version: 0 }
      Services::RecordFinding.call(number, "lid-seal", **seen, by: owner, at: Time.now)
      Services::FinishLookOver.call(number, by: owner, at: Time.now)
    end

    # Until the killing is over.
    def keep_on(what, number)
      (1..).each { |count| @going ? send(what, number, count) : break }
    end

    def kill
      @times.times do |n|
        sleep @lock.synchronize { @random.rand(BETWEEN_SECONDS) }
        what = WHAT[n % WHAT.size]
        @instance.kill(what)
        @out.puts "killed the #{what} (#{n + 1} of #{@times}): #{@ledger.so_far}" if (n % 10) == 9
      end
    end

    def wait_for_the_batch
      deadline = Time.now + QUIET_SECONDS
      until Clerk.again { [Models::Batch.where(id: @batch.id).get(:state)] }.first == "done"
        break @out.puts("the batch is not through after #{QUIET_SECONDS} s") if Time.now > deadline

        sleep 0.5
      end
    end

    def tell
      rows = @ledger.result(@batch)
      rows.each do |name, (count, lost, doubled)|
        @out.puts format("%<name>-15s %<count>5d answered for, %<lost>d lost, %<doubled>d doubled", name: name,
          count: count, lost: lost, doubled: doubled)
      end
      rows.values.all? { |count, lost, doubled| count.positive? && lost.zero? && doubled.zero? }
    end
  end
end
