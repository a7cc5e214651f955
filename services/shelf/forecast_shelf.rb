# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Reckons for every part what it will be asked for and how many must be there, and keeps it until the next time.
    class ForecastShelf
      WEEKS = 13 # drawn ahead, and the longest a lead time and a review may look

      # The queue's job. A worker that died leaves the run open, and the queue tries it again.
      class Work < Que::Job
        def run
          ForecastShelf.call(at: Time.now)
        end
      end

      # Asks the worker for it, unless it is asked for already.
      # @param by [Models::Person, nil] nil when the day asks for it
      def self.ask(by:, at:)
        DB.transaction do
          asked = Models::ForecastRun.dataset.insert_conflict.insert(asked_by: by.id, asked_at: at)
          Work.enqueue if asked
        end
      end

      # @return [Integer] parts reckoned
      def self.call(at:)
        new(at).call
      end

      def initialize(at)
        @at = at
        @today = Config::Zone.date(at)
        @policies = Policies.now
        @demand = Demand.new(today: @today, days: WEEKS * Core::Shelf::Forecast::DAYS_A_WEEK, policy: @policies.cards)
      end

      def call
        rows = reckon
        DB.transaction do
          DB[:part_forecasts].delete
          DB[:part_forecasts].import(%i[part_id days from_dues from_walk_ins level weeks walk_ins_a_week tasks], rows,
            slice: 1000)
          done = Models::ForecastRun.where(finished_at: nil).update(finished_at: @at)
          Models::ForecastRun.create(asked_at: @at, finished_at: @at) if done.zero?
        end
        rows.size
      end

      private

      def reckon
        dues = @demand.dues
        walk_ins = @demand.walk_ins_a_week
        ids = (dues.keys | walk_ins.keys)
        leads = Models::Part.where(id: ids).eager(:supplier).to_h { |part| [part.id, lead(part)] }
        ids.map { |id| row(id, dues.fetch(id, []), walk_ins.fetch(id, 0.0), leads.fetch(id)) }
      end

      def lead(part)
        { lead_days: part.days_to_come || Promises::DAYS_UNKNOWN, lead_spread_days: part.lead_spread_days.to_f }
      end

      def row(id, dues, walk_ins, lead)
        forecast = Core::Shelf::Forecast.new(dues: dues, walk_ins_a_week: walk_ins, **lead,
          review_days: @policies["review_days"], service_level: @policies.service_level)
        weeks = forecast.weeks(WEEKS).map(&:first)
        [id, forecast.days, forecast.from_dues, forecast.from_walk_ins, forecast.level, Sequel.pg_array(weeks, :real),
         walk_ins, dues.sum(&:tasks)]
      end
    end
  end
end
