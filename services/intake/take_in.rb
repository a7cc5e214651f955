# frozen_string_literal: true

module UprightBench
  module Services
    # Puts a customer's machine on the bench. The same request key twice gives the same job.
    class TakeIn
      # @param input [Hash] customer_id or customer {name, phone, email, street, town, postcode, language, email_agreed,
      #   text_agreed, post_agreed, phone_agreed}; machine_id or machine {sheet_id, or rough {maker, model, kind};
      #   serial_number, bought_on, bought_at, second_hand};
      #   use {hours_per_week, traits, allergy}; complaint, accessories {name => pieces}, request_key;
      #   look_fee_cents; told_by; came_back, number of the job after which it came back; number, where one is kept for
      #   it; made_safe, conditions (keys of Core::Intake::Safety::CONDITIONS, each of which raises a stop)
      # @param by [Models::Person] also the one who made the machine safe
      # @param at [Time]
      # @return [Models::Job]
      # @raise [Refused] when the machine is on the bench already, or belongs to somebody else
      def self.call(input, by:, at:)
        new(input, by, at).call
      end

      def initialize(input, by, at)
        @input = input
        @by = by
        @at = at
      end

      # Sent twice at once, the second waits, and its answer is the first's.
      def call
        Constraint.told("jobs_one_open_per_machine" => lambda {
          raise Refused, "Somebody else took this machine in just now."
        }) do
          DB.transaction do
            OneAtATime.wait("take-in", @input.fetch(:request_key))
            already || take_in
          end
        end
      end

      private

      def already
        Models::Job.first(request_key: @input.fetch(:request_key))
      end

      def take_in
        machine = known_machine || new_machine
        refuse_second_job(machine)
        used_otherwise = use_told(machine)
        job = Models::Job.create(job_fields(machine))
        move_dates(machine, job) if used_otherwise
        count_in(job)
        stop(job)
        told_by(job.customer)
        Models::Booking.booked.where(customer_id: job.customer_id).update(state: "came")
        History.note("took in", job, by: @by, at: @at, job: job,
          data: { complaint: job.complaint, accessories: accessories, conditions: conditions })
        job
      end

      # How the customer wants to hear about this job and those after it; what is not asked stays.
      def told_by(customer)
        return if !@input.key?(:told_by) || customer.told_by == @input[:told_by]

        customer.update(told_by: @input[:told_by])
        History.note("said how to be told", customer, by: @by, at: @at, data: { told_by: @input[:told_by] })
      end

      def move_dates(machine, job)
        SetClocks.again([machine], on: Config::Zone.date(@at),
          why: "its use was told anew at job #{job.refresh.number}")
      end

      # @return [Boolean] it is used otherwise than was known
      def use_told(machine)
        before = [machine.hours_per_week, machine.traits.sort]
        machine.update(use_columns)
        [machine.hours_per_week, machine.traits.sort] != before
      end

      def use_columns
        use = @input.fetch(:use)
        use[:traits] ? use.merge(traits: Sequel.pg_array(use[:traits].to_a, :text)) : use
      end

      def accessories
        @input.fetch(:accessories, {})
      end

      def conditions
        @input.fetch(:conditions, [])
      end

      def count_in(job)
        Models::Accessory.multi_insert(accessories.map do |name, pieces|
          { job_id: job.id, name: name, pieces_in: pieces }
        end)
      end

      def stop(job)
        conditions.each do |condition|
          Models::Stop.create(job_id: job.id, condition: condition, reason: Core::Intake::Safety.stop_words(condition),
            raised_by: @by.id, raised_at: @at)
        end
      end

      def known_machine
        return unless @input[:machine_id]

        machine = Lookup.one(:machine, @input[:machine_id]).lock! # two who take it in at once do so one after the other
        if @input[:customer_id] && machine.customer_id != @input[:customer_id]
          raise Refused, "That machine belongs to another customer."
        end

        machine
      end

      def new_machine
        owner = customer
        rough = @input.fetch(:machine)[:rough]
        sheet_id = rough ? BeginSheet.call(**rough, by: @by, at: @at).id : @input.fetch(:machine).fetch(:sheet_id)
        AddMachine.call(owner, **@input.fetch(:machine).except(:rough), sheet_id: sheet_id, by: @by, at: @at)
      end

      def customer
        return Lookup.one(:customer, @input[:customer_id]) if @input[:customer_id]

        AddCustomer.call(@input.fetch(:customer), by: @by, at: @at)
      end

      def refuse_second_job(machine)
        open = Models::Job.in_shop.first(machine_id: machine.id)
        raise Refused, "This machine is on the bench already, as job #{open.number}." if open
      end

      # At the shop's cost, until somebody says otherwise when it is settled.
      def came_back(machine)
        number = @input[:came_back] or return {}

        last = Models::Job.where(machine_id: machine.id).exclude(handed_over_at: nil).reverse(:id).first
        refuse_comeback(last, number)
        { comeback_of: last.id, discount_percent: 100, discount_reason: "our guarantee on job #{number}" }
      end

      def refuse_comeback(last, number)
        days = Policies.now["guarantee_days"]
        return if last&.number == number && Config::Zone.date(@at) <= Config::Zone.date(last.handed_over_at) + days

        raise Refused, "Job #{number} is not its last one, or our guarantee on it has run out."
      end

      def job_fields(machine)
        { machine_id: machine.id, customer_id: machine.customer_id, sheet_version_id: machine.sheet.current_version_id,
          complaint: @input.fetch(:complaint), request_key: @input.fetch(:request_key),
          look_fee_cents: @input[:look_fee_cents] || 0, **came_back(machine),
          **(@input.fetch(:made_safe, true) ? { made_safe_at: @at, made_safe_by: @by.id } : {}), taken_in_by: @by.id,
          taken_in_at: @at, **(@input[:number] ? { number: @input[:number] } : {}) }
      end
    end
  end
end
