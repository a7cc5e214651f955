# frozen_string_literal: true

module UprightBench
  module Queries
    # Whose machine is taken in: one that is known, another one of a known customer, or both new; of a new one its model
    # or kind, once it is chosen.
    class TakeInSubject
      attr_reader :machine, :customer

      # @param machine_id [Integer, nil]
      # @param customer_id [Integer, nil]
      # @param fresh [Boolean] a new customer was chosen
      # @param sheet_id [Integer, nil] of a new machine
      # @param kind [Symbol, nil] of a new machine whose model is not on file
      # @param power [Symbol, nil] of such a one
      # @raise [Services::NotFound]
      def initialize(machine_id: nil, customer_id: nil, fresh: false, sheet_id: nil, kind: nil, power: nil)
        @machine = machine_id && Services::Lookup.one(:machine, machine_id)
        @customer = @machine&.customer || (customer_id && Services::Lookup.one(:customer, customer_id))
        @fresh = fresh
        @sheet_id = sheet_id
        @kind = kind
        @power = power
      end

      # @return [Boolean] whether it is said who it is
      def chosen?
        !@customer.nil? || @fresh
      end

      def heading
        return "#{sheet.title}, #{@customer.name}" if @machine

        @customer ? "A machine of #{@customer.name}" : "New customer, new machine"
      end

      # @return [Core::Sheets::Sheet, nil] of a machine that is known, or whose model was chosen
      def sheet
        return @machine.to_core if @machine

        @sheet ||= @sheet_id && Models::Sheet[@sheet_id]&.to_core
      end

      def warranty(today)
        @warranty ||= @machine.warranty(today)
      end

      # @return [Array<String>] what usually comes with this model
      def accessories
        sheet&.accessories || Core::Sheets::Starter::ACCESSORIES.fetch(@kind, [])
      end

      # @return [Symbol] a key of Core::Intake::Safety::STEPS
      def safety_way
        Core::Intake::Safety.way(kind: sheet ? sheet.kind : @kind, power: power)
      end

      # @return [Symbol, nil] nil while nobody knows
      def power
        sheet ? sheet.power : @power || Core::Sheets::Starter::POWER[@kind]
      end

      def made_safe_words
        words = Core::Intake::Safety::DONE.fetch(safety_way)
        words[0].downcase + words[1..]
      end

      # @param today [Date]
      # @return [Array<Models::HomePiece>] what the customer may bring along, of opened boxes
      def at_home(today)
        @at_home ||= @machine ? Models::HomePiece.there(@machine.id, on: today).all : []
      end

      # @return [Array<JobsOfMachine::Past>]
      def last_jobs
        jobs ? jobs.past : []
      end

      # @param days [Integer] of the shop's own guarantee
      # @return [Date, nil] until when the last work stands under it; nil where nothing was done
      def guarantee_until(days)
        last = last_jobs.first
        last.ended_on + days if last&.work&.any?
      end

      # @return [Array<Models::Note>]
      def notes
        @notes ||= @machine ? Models::Note.about(@machine).all : []
      end

      # @return [Models::Job, nil] the job it is in already
      def open_job
        jobs&.open
      end

      private

      def jobs
        @jobs ||= @machine && JobsOfMachine.new(@machine)
      end
    end
  end
end
