# frozen_string_literal: true

module UprightBench
  module Queries
    # Whose machine is taken in: one that is known, another one of a known customer, or both new.
    class TakeInSubject
      attr_reader :machine, :customer

      # @param machine_id [Integer, nil]
      # @param customer_id [Integer, nil]
      # @param fresh [Boolean] a new customer was chosen
      # @raise [Services::NotFound]
      def initialize(machine_id: nil, customer_id: nil, fresh: false)
        @machine = machine_id && Services::Lookup.one(:machine, machine_id)
        @customer = @machine&.customer || (customer_id && Services::Lookup.one(:customer, customer_id))
        @fresh = fresh
      end

      # @return [Boolean] whether it is said who it is
      def chosen?
        !@customer.nil? || @fresh
      end

      def heading
        return "#{sheet.title}, #{@customer.name}" if @machine

        @customer ? "A machine of #{@customer.name}" : "New customer, new machine"
      end

      def sheet
        @machine&.to_core
      end

      def warranty(today)
        @warranty ||= @machine.warranty(today)
      end

      # @return [Array<String>] what usually comes with this model
      def accessories
        sheet&.accessories || []
      end

      # @return [Symbol] a key of Core::Intake::Safety::STEPS
      def safety_way
        Core::Intake::Safety.way(kind: sheet&.kind, power: sheet&.power)
      end

      def made_safe_words
        words = Core::Intake::Safety::DONE.fetch(safety_way)
        words[0].downcase + words[1..]
      end

      # @return [Models::Job, nil] the job it is in already
      def open_job
        @open_job ||= @machine && Models::Job.in_shop.first(machine_id: @machine.id)
      end
    end
  end
end
