# frozen_string_literal: true

module UprightBench
  module Services
    # How full the coming days are: what is planned of the machines that are here, and what customers said they would
    # bring. Six queries.
    class DaysAhead
      LEARNED_DAYS = 180 # of the shop's own jobs, as far back as is looked
      USUAL_MINUTES = 60 # of a machine, in a shop that has done none yet (house rule)
      MOST_OFFERED = 10 # days that a customer chooses from
      LOOKED_THROUGH = 40 # open days, until so many are found

      # Days on which a customer can bring a machine and it will be worked on.
      # @return [Array<Date>] after today; where all are full, the last one that was looked at
      def self.offered(at:, policies: Policies.now)
        days = new(at: at, policies: policies).call(LOOKED_THROUGH)
        free = days.select(&:holds_another?).map(&:date) - [Config::Zone.date(at)]
        free.empty? ? [days.last.date] : free.first(MOST_OFFERED)
      end

      # @param at [Time]
      def initialize(at:, policies: Policies.now)
        @at = at
        @policies = policies
        @bench = BenchAt.new(at: at, policies: policies)
      end

      # @param count [Integer] open days, today among them while the shop is still open
      # @return [Array<Core::Bench::Day>]
      def call(count)
        dates(count).map do |date|
          Core::Bench::Day.new(date: date, hands_minutes: hands(date), planned_minutes: planned(date),
            booked: booked.fetch(date, 0), usual_minutes: usual_minutes)
        end
      end

      private

      def dates(count)
        schedule = @policies.schedule
        (1...count).inject([schedule.open_day(first_date)]) do |days, _|
          [*days, schedule.open_day(days.last + 1)]
        end
      end

      def first_date
        today = Config::Zone.date(@at)
        worked(@bench.shop.open, *ends(today)).positive? ? today : today + 1
      end

      def hands(date)
        @bench.shop.technicians.sum { |technician| worked(technician.calendar, *ends(date)) }
      end

      # What is begun on one day and ends on the next counts on both, as much as is done there.
      def planned(date)
        from, till = ends(date)
        steps.sum do |calendar, begins, ends|
          begins < till && ends > from ? worked(calendar, [begins, from].max, [ends, till].min) : 0
        end
      end

      def worked(calendar, from, till)
        [calendar.worked(till) - calendar.worked(from), 0].max
      end

      # @return [Array(Integer, Integer)] in minutes
      def ends(date)
        [date, date + 1].map { |day| [@bench.minutes(Config::Zone.at(day, 0)), 0].max }
      end

      def steps
        @steps ||= begin
          calendars = @bench.shop.technicians.to_h { |technician| [technician.id, technician.calendar] }
          Models::BenchPlan.the.steps.map do |step|
            begins, ends = step.to_hash.values_at("from", "till").map { |seconds| @bench.minutes(Time.at(seconds)) }
            [calendars.fetch(step["person"], @bench.shop.open), begins, ends]
          end
        end
      end

      def booked
        @booked ||= Models::Booking.booked.where(Sequel[:drop_off_on] >= Config::Zone.date(@at))
          .group_and_count(:drop_off_on).as_hash(:drop_off_on, :count)
      end

      # To look it over, to do what is found, to refit and test.
      def usual_minutes
        @usual_minutes ||= begin
          since = @at - (LEARNED_DAYS * 86_400)
          jobs = Models::Job.where(Sequel[:closed_up_at] >= since).join(:work_items, job_id: :id)
          minutes, count = jobs.get([Sequel.function(:sum, :minutes).as(:minutes),
                                     Sequel.function(:count, Sequel[:jobs][:id]).distinct.as(:count)])
          count.zero? ? USUAL_MINUTES : (minutes / count).ceil + ChainOfJob::REFIT_MINUTES + LOOK_OVER
        end
      end

      LOOK_OVER = Core::Bench::WaitsFor::LOOK_OVER_MINUTES
      private_constant :LOOK_OVER
    end
  end
end
