# frozen_string_literal: true

module UprightBench
  module Services
    # How many jobs came back under the shop's own guarantee, of those that were handed over in the last year.
    module Comebacks
      DAYS = 365

      module_function

      # @param today [Date]
      # @return [Core::Stats::Wilson, nil] nil while nothing was handed over
      def share(today:)
        since = Config::Zone.at(today - DAYS, 0)
        jobs = Models::Job.where(Sequel[:handed_over_at] >= since)
        back = jobs.where(id: Models::Job.exclude(comeback_of: nil).select(:comeback_of))
        tries = jobs.count
        Core::Stats::Wilson.new(hits: back.count, tries: tries) if tries.positive?
      end
    end
  end
end
