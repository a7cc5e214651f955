# frozen_string_literal: true

module UprightBench
  module Services
    # Says since when a part is in its place: a date is written on it, the customer remembers, or it was never changed
    # and is as old as the machine. The clocks of the part run from there.
    class SayWhenFitted
      # @param position [String]
      # @param on [Date, nil] nil takes it that it was never changed: the day the machine was bought
      # @raise [NotFound, Refused] when that day is ahead, before the machine, or known already
      def self.call(number, position, on:, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          OpenToLook.check(job, position)
          new(job, position, on || job.machine.bought_on, by, at).call
        end
      end

      def initialize(job, position, on, by, at)
        @job = job
        @position = position
        @on = on
        @by = by
        @at = at
      end

      def call
        check
        here = Models::Fitting.in_place.where(machine_id: @job.machine_id, position: @position, fitted_on: nil)
        raise Refused, "It is known already since when that is in." unless here.update(fitted_on: @on).positive?

        start_clocks
        History.note("said when fitted", @job, by: @by, at: @at, job: @job,
          data: { position: @position, on: @on.iso8601 })
      end

      private

      def check
        raise Refused, "Nobody knows when the machine was bought: give a day." if @on.nil?
        raise Refused, "That day is ahead." if @on > Config::Zone.date(@at)

        bought = @job.machine.bought_on
        return unless bought && !@job.machine.second_hand && @on < bought

        raise Refused, "That is before the machine was bought, on #{Core::Units::Day.words(bought)}."
      end

      # What ran without a start has one now; what was done since has its own.
      def start_clocks
        Models::Due.running.where(machine_id: @job.machine_id, position: @position, started_on: nil)
          .update(started_on: @on)
        SetClocks.again([@job.machine], on: Config::Zone.date(@at), why: "told when it was fitted")
      end
    end
  end
end
