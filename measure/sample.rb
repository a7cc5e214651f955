# frozen_string_literal: true

module UprightBench
  module Measure
    # Customers, machines and jobs drawn at random, another for each round. Whoever includes this has a @random and
    # ROUNDS.
    module Sample
      private

      def customers
        @customers ||= sample(Models::Customer)
      end

      def machines
        @machines ||= sample(Models::Machine)
      end

      def jobs
        @jobs ||= Models::Job.where(state: "taken_in").exclude(Models::Finding.where(job_id: Sequel[:jobs][:id])
          .select(1).exists).order(:id).all
      end

      def sample(model)
        most = model.max(:id)
        model.where(id: Array.new(self.class::ROUNDS * 2) { @random.rand(1..most) }).all.shuffle(random: @random)
      end
    end
  end
end
