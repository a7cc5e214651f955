# frozen_string_literal: true

module UprightBench
  module Services
    # "All the rest is fine": whatever nobody has looked at or skipped at a station is recorded as fine, except what is
    # looked at one by one because a fault there can hurt somebody. That is nobody's own verdict: what is recorded later
    # at such a place wins.
    class FineRest
      # @param number [Integer] the job's
      # @param station [String] a key of the job's sheet
      # @return [Array<Core::Sheets::Position>] what is looked at one by one, and was not yet
      # @raise [NotFound, Refused]
      def self.call(number, station, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          one_by_one, rest = rest(job, station).partition { |place| place.kind_of_part.trait?(:one_by_one) }
          rest.each do |place|
            RecordFinding.new(job, place.key, observed: Core::Findings.fine(place), fine: true, version: 0, by: by,
              at: at).call
          end
          one_by_one
        end
      end

      def self.rest(job, station)
        if job.sheet.stations.none? { |known| known.key == station }
          raise NotFound, "Job #{job.number} has no such station."
        end

        recorded = [Models::Finding, Models::Skip].flat_map { |row| row.where(job_id: job.id).select_map(:position) }
        job.sheet.at(station).reject { |place| recorded.include?(place.key) }
      end
      private_class_method :rest
    end
  end
end
