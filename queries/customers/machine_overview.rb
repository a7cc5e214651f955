# frozen_string_literal: true

module UprightBench
  module Queries
    # Everything of a machine that its page shows.
    class MachineOverview
      MOST_JOBS = 30 # listed; the drawing of its years goes further back

      # @param machine [Models::Machine]
      def initialize(machine)
        @machine = machine
      end

      # @return [Array<Models::Note>]
      def notes
        @notes ||= Models::Note.about(@machine).all
      end

      # @return [Array<Models::Due>] the running clocks, soonest first, with how their dates moved
      def dues
        @dues ||= MachineDues.call(@machine.id)
      end

      # @return [Array<Models::Spare>] that wait for their turn
      def spares
        @spares ||= Models::Spare.waiting.where(machine_id: @machine.id).eager(:part).order(:position).all
      end

      # @return [Models::SafetyTest, nil] the last of its electrical safety
      def safety_test
        return @safety_test if defined?(@safety_test)

        @safety_test = Models::SafetyTest.where(machine_id: @machine.id).reverse(:tested_on, :id).first
      end

      # @param today [Date]
      # @return [Array<Models::HomePiece>] of opened boxes, with the customer
      def at_home(today)
        @at_home ||= Models::HomePiece.there(@machine.id, on: today).all
      end

      # @return [Array<Models::Job>] the newest first
      def jobs
        life.jobs.first(MOST_JOBS)
      end

      # @return [Array<Models::Fitting>] what is and was fitted, at places that its sheet has
      def fittings
        sheet = @machine.to_core
        @fittings ||= life.fittings.select { |fitting| sheet.position?(fitting.position) }
          .sort_by { |fitting| [fitting.position, fitting.id] }
      end

      # @return [Array<MachineAir::Visit>] jobs that read its air
      def air
        @air ||= MachineAir.call(@machine)
      end

      # @return [MachineLife] what its years are drawn from
      def life
        @life ||= MachineLife.new(@machine, dues: dues)
      end
    end
  end
end
