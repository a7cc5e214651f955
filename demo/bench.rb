# frozen_string_literal: true

module UprightBench
  module Demo
    # The dozen machines that stand in the shop now, one or more in every state.
    class Bench
      # State reached, and how many open hours ago the machine came in.
      JOBS = [[:handed_over, 26], [:closed_up, 14], [:dry, 17], [:drying, 9], [:drying, 4], [:in_work, 7],
              [:settled, 2], [:settled, 1.6],
              [:looked_over, 1.3], [:estimate_sent, 2.2], [:stopped, 3], [:half_looked, 0.8], [:taken_in, 0.4],
              [:declined, 5], [:opened, 3]].freeze
      # A stick whose cyclone comes apart.
      STRIPPED = { model: "Dart M", place: "cyclone-gasket", steps: %w[clip-ring] }.freeze

      def initialize(now, staff, machines)
        @now = now
        @schedule = Services::Policies.now.schedule
        @technicians = staff[1, 2]
        @counter = staff[3]
        @random = Random.new(Load::SEED + 1)
        part(machines)
        @chosen = JOBS.map { |state, _| pick(state).shift }
      end

      # @return [Array<Models::Machine>] that stand there
      def machines
        @chosen.compact
      end

      def call
        JOBS.zip(@chosen).each_with_index do |((state, hours), machine), index|
          lay(state, hours, machine, index) if machine
        end
      end

      private

      def part(machines)
        @sticks, others = machines.partition { |machine| machine.to_core.kind == :stick }
        @wettable, @dry = others.shuffle(random: @random)
          .partition { |machine| machine.to_core.positions.any?(&:washable?) }
      end

      def lay(state, hours, machine, index)
        @hours = hours
        @came = @schedule.before(@now, hours * 60)
        @past = PastJob.new(machine, Config::Zone.date(@came), @technicians[index % 2], @counter, @random)
        @past.take_in(@came)
        send(state)
      end

      # What is washed is a stick's filter; what is closed up already had nothing to wash.
      def pick(state)
        return @sticks if %i[dry drying].include?(state)
        return @sticks.select { |machine| machine.to_core.model == STRIPPED[:model] } if state == :opened

        %i[closed_up handed_over stopped].include?(state) || @wettable.empty? ? @dry : @wettable
      end

      def at(minutes)
        @schedule.after(@came, minutes)
      end

      def taken_in; end

      def half_looked
        @past.look_over(at(30), first: 4)
      end

      def looked_over
        @past.look_over(at(30))
      end

      def estimate_sent
        looked_over
        job = @past.job.refresh
        job.work_items_dataset.where(action: "replace", part_id: nil).each do |item|
          Services::ChoosePart.call(job.number, item.id, choice: "leave", by: @technicians.first, at: at(55))
        end
        Services::SendEstimate.call(job.number, by: @counter, at: at(60))
        Services::AskAboutJob.ask(job, "May I have the old parts back?", by: Services::Actor.customer_by_slip(job),
          at: at(75))
      end

      def stopped
        looked_over
        job = @past.job.refresh
        place = job.sheet.positions.find { |position| position.kind == :lead }
        Services::RecordFinding.call(job.number, place.key, observed: { state: "damaged" }, version: 1,
          by: @technicians.first, at: at(50))
      end

      def settled
        looked_over
        @past.settle(at(90))
      end

      def in_work
        settled
        @past.work(at(150), most: 2)
      end

      # After a closed weekend every part would be dry; the demo keeps some wet whatever the day.
      def drying
        wash([at(120), @now - (@hours * 3600)].max)
      end

      def dry
        wash(at(120))
      end

      def wash(time)
        grey_filter
        @past.settle(at(90))
        @past.work(time)
      end

      # A stick whose filter is worth a wash, whatever else it has.
      def grey_filter
        looked_over
        job = @past.job.refresh
        place = job.sheet.positions.find { |position| position.kind == :filter && position.washable? }
        Services::RecordFinding.call(job.number, place.key, observed: { grey: 4 }, version: 1, verdict: :wash,
          by: @technicians.last, at: at(60))
      end

      def closed_up
        settled
        finish_work
        @past.close_up(at(600))
      end

      def handed_over
        closed_up
        @past.hand_over(at(700))
      end

      def finish_work
        @past.work(at(150))
      end

      # Begun, and left as it was: the ring is on the tray, the screws are next.
      def opened
        looked_over
        Services::RecordFinding.call(@past.job.number, STRIPPED[:place], observed: { state: "lifted" }, version: 1,
          by: @technicians.last, at: at(60))
        @past.settle(at(90))
        STRIPPED[:steps].each_with_index do |step, index|
          Services::OpenStep.call(@past.job.number, step, by: @technicians.last, at: at(100 + (index * 4)))
        end
      end

      def declined
        looked_over
        Services::EndEarly.call(@past.job.number, how: "declined", by: @counter, at: at(90))
      end
    end
  end
end
