# frozen_string_literal: true

module UprightBench
  module Queries
    # What the look-over of a job shows beside its sheet: what was found and skipped so far, what was due before, what
    # was found last time, and what somebody else recorded meanwhile.
    class LookOver
      include JobFindings

      attr_reader :job

      # @param person [Models::Person] who looks
      # @param today [Date] in the shop
      def initialize(job, person:, today:)
        @job = job
        @person = person
        @today = today
      end

      # Only these places will be shown: nothing is read of the others.
      # @param places [Array<Core::Sheets::Position>]
      def only(places)
        @only = places.map(&:key)
      end

      # @param place [Core::Sheets::Position]
      # @return [Array<Models::Due>] what was due there before this job; on a machine's first job, of which nothing runs
      #   yet, by the day it was bought
      def overdue(place)
        @overdue ||= dues.select { |due| due.due_on && due.due_on <= @today }.group_by(&:position)
        @overdue.fetch(place.key, [])
      end

      # @param place [Core::Sheets::Position]
      # @return [Boolean] nobody knows since when the part there is in, and that decides when it is replaced
      def age_asked?(place)
        return false if place.tasks.none? { |task| task.action == :replace }

        @ages ||= shown(Models::Fitting.in_place.where(machine_id: job.machine_id)).select_hash(:position, :fitted_on)
        @ages.key?(place.key) && @ages[place.key].nil?
      end

      # @return [Models::Finding, nil] what was found there in the last job that looked
      def last_time(place)
        @last_findings ||= Models::Finding.of_earlier_jobs(job, @only.to_a)
          .to_h { |finding| [finding.position, finding] }
        @last_findings[place.key]
      end

      # @return [Integer] grows with everything that happens to the job; a page asks for what came after
      def stamp
        @stamp ||= Models::Event.where(job_id: job.id).max(:id) || 0
      end

      # @param since [Integer] a stamp
      # @return [Array<String>] the places where something was recorded, cleared or skipped after it
      def changed(since)
        events = Models::Event.where(job_id: job.id).where { id > since }
          .select_map([:id, Sequel.lit("data ->> 'position'").as(:position)])
        @stamp = [since, *events.map(&:first)].max
        events.filter_map(&:last).uniq
      end

      private

      # All of the machine: that none runs tells of a first job, when what would run is reckoned.
      def dues
        running = Models::Due.running.where(machine_id: job.machine_id)
          .select(:position, :action, :due_on, :deciding).all
        running.empty? && first_job? ? Services::SetClocks.new(job.machine, @today).would_be(@only) : running
      end

      def first_job?
        Models::Due.where(machine_id: job.machine_id).empty?
      end

      def shown(rows)
        @only ? rows.where(position: @only) : rows
      end
    end
  end
end
