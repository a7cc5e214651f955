# frozen_string_literal: true

module UprightBench
  module Models
    # One reckoning of the whole shelf: asked for, under way, done.
    class ForecastRun < Sequel::Model(:forecast_runs)
      # @return [ForecastRun, nil] the newest that is done
      def self.last_done
        exclude(finished_at: nil).order(Sequel.desc(:id)).first
      end
    end
  end
end
