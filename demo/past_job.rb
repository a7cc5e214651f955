# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Demo
    # One stay of a machine, as far as wanted, through the services at plausible times.
    class PastJob
      def initialize(machine, date, technician, counter, random)
        @machine = machine
        @date = date
        @technician = technician
        @counter = counter
        @random = random
        @sheet = machine.to_core
      end

      # From taking in to handing over, three days later.
      # @param number [Integer] of the job, kept for it
      # @param now [Time] until which things happened
      def whole(number:, now:) # rubocop:disable Metrics/AbcSize -- one thing after the other
        @now = now
        take_in(at(0, 9), number: number)
        look_over(at(0, 10))
        settle(at(0, 11))
        later = Services::Policies.now.schedule.open_day(@date + 3)
        air = AirRead.new(@job.refresh, @technician)
        air.before(at(0, 11) + 300)
        work(at(0, 11) + 600)
        ready = ready_at(Config::Zone.at(later, 10))
        air.after(ready - 120)
        close_up(ready)
        hand_over([ready, Config::Zone.at(later, 10)].max + 3600)
      end

      # Shortly before it was promised; now and then some hours later.
      def ready_at(latest)
        promised = @job.refresh.promise_at
        return promised + 7200 if @random.rand < 0.07

        [[promised - 300, @job.work_items.filter_map(&:done_at).max.to_i + 600].map { |time| Time.at(time.to_i) }.max,
         latest].min
      end

      def take_in(time, number: nil)
        use = @machine.values.slice(:hours_per_week, :traits, :allergy)
        @job = Services::TakeIn.call({ customer_id: @machine.customer_id, machine_id: @machine.id, use: use,
                                       complaint: Names::COMPLAINTS.fetch(@sheet.kind.to_s).sample(random: @random),
                                       accessories: accessories, request_key: uuid, number: number },
          by: @counter, at: time)
      end

      # @param first [Integer, nil] only so many positions
      def look_over(time, first: nil)
        DB.transaction { record(overdue(time), @sheet.walk.first(first || @sheet.walk.size), time) }
        Services::FinishLookOver.call(@job.number, by: @technician, at: time + 900) unless first
      end

      def settle(time)
        choose(time)
        name = @machine.customer.name
        risky = Services::Quotes.ends_warranty(@job.refresh, @job.work_items_dataset.eager(:part).all,
          today: Config::Zone.date(time)).any?
        Services::Settle.call(@job.number, agreed_name: name, agreed_how: %w[counter phone].sample(random: @random),
          warranty_name: (name if risky),
          by: @counter, at: time)
      end

      # @param most [Integer, nil] only so many items
      def work(time, most: nil)
        items = @job.refresh.work_items
        items.first(most || items.size).each_with_index do |item, index|
          Services::DoWorkItem.call(@job.number, item.id, by: @technician, at: time + (index * 600)) if item.to_do?
        end
      end

      def finish(time)
        close_up(time)
        hand_over(time + 3600)
      end

      def hand_over(time)
        Services::HandOver.call(@job.number, counted_out: @job.accessories.to_h do |accessory|
          [accessory.name, accessory.pieces_in]
        end, way: way, by: @counter, at: time)
        pay_later(time) if @machine.customer.fleet
      end

      def close_up(time)
        PutBack.call(@job.refresh, by: @technician, at: time)
        Prove.call(@job, by: @technician, at: time)
        Services::CloseUp.call(@job.number, by: @technician, at: time)
      end

      attr_reader :job

      private

      # Under one lock, with the shop's rules read once.
      def record(due, places, time)
        job = Services::Lookup.job(@job.number, lock: true)
        policy = Services::Policies.now.findings
        places.each_with_index do |place, index|
          Services::RecordFinding.new(job, place.key, observed: Sight.new(place, @random).seen, version: 0,
            verdict: due[place.key], by: @technician, at: time + (index * 40), policy: policy).call
        end
      end

      def at(days, hour)
        Config::Zone.at(@date + days, hour)
      end

      # @return [String] most pay by card; a fleet pays later
      def way
        return Core::Money::Ways::ON_ACCOUNT if @machine.customer.fleet

        (@job.number % 3).zero? ? "cash" : "card"
      end

      # Five weeks after, by transfer.
      def pay_later(time)
        owed = Services::Balance.of_job(@job)
        paid_at = time + (35 * 86_400)
        return if owed.zero? || paid_at > (@now || Time.now)

        Services::TakePayment.call(of: @job, way: "transfer", cents: owed, by: @counter, at: paid_at)
      end

      # Most of what is due anyway is done while it is here, whatever the part looks like.
      def overdue(time)
        Models::Due.running.where(machine_id: @machine.id, action: %w[wash replace])
          .where(Sequel[:due_on] <= Config::Zone.date(time) + 30)
          .order(:position, :id).select_hash(:position, :action)
          .reject { @random.rand < 0.15 }.transform_values(&:to_sym)
      end

      # Most of what the model comes with is brought along.
      def accessories
        @sheet.accessories.select { @random.rand < 0.6 }.to_h { |name| [name, 1] }
      end

      def uuid
        @random.bytes(16).unpack1("H*").sub(/\A(.{8})(.{4})(.{4})(.{4})(.{12})\z/, '\1-\2-\3-\4-\5')
      end

      # For what nothing on the shelf fits.
      def choose(time)
        @job.refresh
        open = @job.work_items_dataset.where(action: "replace", part_id: nil, state: "to_do").all
        open.each { |item| Services::ChoosePart.call(@job.number, item.id, choice: "leave", by: @technician, at: time) }
      end
    end
  end
end
