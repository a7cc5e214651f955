# frozen_string_literal: true

module UprightBench
  module Demo
    # What else happened lately: the drawer was counted, a note was written, a part was tried and did not fit, a machine
    # came back under the shop's guarantee.
    class Counter
      FLOAT_CENTS = 15_000

      # What was taken goes to the bank, and the float stays.
      # @param evening [Time]
      def self.count_drawer(evening, by:)
        cents = Services::CountDrawer.expected
        Services::CountDrawer.call(counted_cents: cents, left_cents: [FLOAT_CENTS, cents].min, by: by, at: evening,
          request_key: SecureRandom.uuid)
      end

      # On the first day with a machine since a week ago.
      def self.count_weekly(morning, by:)
        last = Models::DrawerCount.where { counted_at <= morning }.max(:counted_at)
        count_drawer(morning, by: by) if last.nil? || last < morning - (7 * 86_400)
      end

      # @param staff [Array<Models::Person>] owner, two technicians, counter
      def initialize(now, staff)
        @now = now
        @technician = staff[1]
        @counter = staff[3]
      end

      # @param at [Time] in the evening of the last open day
      def call(at:)
        agree_to_be_told
        Services::MoveParcel.fitted_by_now(at: @now)
        self.class.count_drawer(at, by: @counter)
        write_note
        try_in_vain
      end

      private

      # Every other one who has an address, from now on.
      def agree_to_be_told
        Models::Customer.exclude(email: nil).where(Sequel.lit("id % 2 = 0")).update(told_by: "email")
      end

      def write_note
        machine = Models::Job.in_shop.order(:number).first.machine
        place = machine.to_core.walk.first
        Services::KeepNote.write(machine, position: place.key, text: "Its clip was glued: hold it when opening.",
          by: @technician, at: @now - 3600)
      end

      # A part of the kind that is listed for another model.
      def try_in_vain
        item = items_to_try.find { |one| look_alike(one) } or return
        other = look_alike(item)

        said = { by: @technician, at: @now }
        Services::ChoosePart.call(item.job.number, item.id, choice: "other-#{other.id}", **said)
        Services::TeachFit.misfits(item.job.number, item.id, reason: "too long by 3 mm: the lid does not close", **said)
        Services::FinishLookOver.choose_best(item.job, @now)
      end

      def items_to_try
        Models::WorkItem.where(action: "replace", state: "to_do").exclude(part_id: nil)
          .where(job_id: Models::Job.where(state: "looked_over").select(:id)).order(:id).all
      end

      def look_alike(item)
        Models::Part.where(kind: item.part.kind).exclude(id: fitting(item)).order(:number).first
      end

      def fitting(item)
        Services::FitFor.new(item.job.sheet, item.job.machine, today: Config::Zone.date(@now), job: item.job)
          .call([item.position]).fetch(item.position).candidates.map { |candidate| candidate.part.id }
      end
    end
  end
end
