# frozen_string_literal: true

module UprightBench
  module Models
    # What a gauge showed in the last seconds, and where it is held.
    class GaugeStream < Sequel::Model(:gauge_streams)
      unrestrict_primary_key
      many_to_one :job, key: :held_job_id

      HELD_SECONDS = 5 # after that nobody holds it there any more

      # @param at [Time]
      # @return [Array<Array(Float, Core::Gauges::Shown)>] seconds ago, and what it showed then
      def shown_at(at)
        shown.map do |time, value, what, held|
          [at.to_f - time, Core::Gauges::Shown.new(value: value, what: what.to_sym, held: held)]
        end
      end

      # @return [Boolean] whether a page has it in hand
      def held?(at)
        !held_at.nil? && at - held_at < HELD_SECONDS
      end
    end
  end
end
