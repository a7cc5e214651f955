# frozen_string_literal: true

module UprightBench
  module Models
    # The plan of the bench that stands, in one row. Of each step: job (its number), key, person (id), from and till
    # (seconds since 1970), dries (whether something dries before it), and hold, the moment before which it is not begun
    # although it could be. Of each promise in danger: job, share, by (when it would be ready), and ways, each with its
    # kind, share, and what else Core::Bench::Rescue::Way has.
    class BenchPlan < Sequel::Model(:bench_plans)
      # @return [BenchPlan]
      def self.the
        first!
      end

      # @param number [Integer] of a job
      # @return [Time, nil] by which it could be promised instead; nil where its promise is not in danger
      def later_by(number)
        danger = dangers.find { |one| one["job"] == number }
        danger && Time.at(danger["by"])
      end

      # Whoever is about to make another plan waits here until the one before is written down.
      # @return [BenchPlan]
      def self.held
        for_update.first!
      end
    end
  end
end
