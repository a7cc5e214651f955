# frozen_string_literal: true

module UprightBench
  module Queries
    # What is short, by supplier, and from when the figures are.
    class ToOrder
      # @return [Hash{Models::Supplier=>Array<Services::Short::Row>}] nil for parts of no supplier
      def by_supplier
        @by_supplier ||= Services::Short.rows.group_by { |row| row.part.supplier }
      end

      # @return [Models::ForecastRun, nil] the last that was finished
      def last_run
        @last_run ||= Models::ForecastRun.last_done
      end

      # @return [Boolean] whether the figures are not of today
      def stale?(today)
        last_run.nil? || Config::Zone.date(last_run.finished_at) < today
      end

      # @return [Models::ForecastRun, nil] one under way
      def running
        Models::ForecastRun.first(finished_at: nil)
      end
    end
  end
end
