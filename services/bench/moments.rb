# frozen_string_literal: true

module UprightBench
  module Services
    # Moments as whoever is told "no" reads them.
    module Moments
      module_function

      # @param time [Time]
      # @param at [Time] now
      # @return [String] as in "tomorrow 14:05"
      def words(time, at:)
        Core::Units::Moment.words(Config::Zone.local(time), today: Config::Zone.date(at))
      end
    end
  end
end
