# frozen_string_literal: true

module UprightBench
  module Queries
    # How many of the promises that the shop gave were kept: of jobs whose work was done, by the time that was promised
    # first, whatever was told later. One query.
    module PromisesKept
      DAYS = 180 # as far back as is looked

      module_function

      # @param now [Time]
      # @return [Core::Stats::Wilson]
      def call(now:)
        row = Models::Job.exclude(agreed_at: nil).exclude(promise_at: nil)
          .where(Sequel[:closed_up_at] >= now - (DAYS * 86_400)).get([Sequel.function(:count).*.as(:tries), KEPT])
        Core::Stats::Wilson.new(tries: row.first, hits: row.last)
      end

      FIRST = Sequel.function(:coalesce, Models::Event.where(job_id: Sequel[:jobs][:id], verb: "promised later")
        .order(:id).limit(1).select(Sequel.lit("(data->>'from')::timestamptz")), Sequel[:promise_at])
      KEPT = Sequel.function(:count).*.filter(Sequel[:closed_up_at] <= FIRST).as(:hits)
      private_constant :FIRST, :KEPT
    end
  end
end
