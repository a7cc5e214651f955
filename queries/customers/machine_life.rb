# frozen_string_literal: true

module UprightBench
  module Queries
    # What happened at each place of a machine, from the day it was bought.
    class MachineLife
      Place = Struct.new(:name, :fitted, :done, :found, :due, keyword_init: true)
      MOST_JOBS = 60

      # @return [Array<Models::Job>] the newest first
      attr_reader :jobs

      # @param machine [Models::Machine]
      # @param dues [Array<Models::Due>] its running clocks, soonest first
      def initialize(machine, dues:)
        @machine = machine
        @dues = dues
        @jobs = machine.jobs_dataset.limit(MOST_JOBS).select(:id, :number, :taken_in_at, :complaint, :state).all
      end

      # @return [Array<Models::Fitting>] with the part
      def fittings
        @fittings ||= @machine.fittings_dataset.eager(:part).order(:id).all
      end

      # @return [Array<Date>]
      def taken_in_on
        @jobs.map { |job| Config::Zone.date(job.taken_in_at) }
      end

      # @return [Array<Place>] along the air path, those at which anything happened or will
      def places
        core = @machine.to_core
        core.walk.map { |place| place(place) }.reject do |place|
          place.fitted.all? do |from, till|
            from.nil? && till.nil?
          end && place.done.empty? && place.found.empty? && place.due.nil?
        end
      end

      private

      def place(place)
        key = place.key
        Place.new(name: place.name, fitted: fitted.fetch(key, []).map { |fitting| in_place(fitting) },
          done: done.fetch(key, []).map { |item| [Config::Zone.date(item.done_at), "#{item.action} done"] },
          found: found.fetch(key, []).map { |finding| seen(finding) }, due: due(key))
      end

      def in_place(fitting)
        [fitting.fitted_on, fitting.removed_on]
      end

      def seen(finding)
        [Config::Zone.date(finding.found_at), "found: #{finding.reason}"]
      end

      def fitted
        @fitted ||= fittings.group_by(&:position)
      end

      # A new part shows as a bar that begins; what was washed, cleaned or looked at has a mark.
      def done
        @done ||= Models::WorkItem.where(job_id: @jobs.map(&:id), state: "done").exclude(action: "replace")
          .exclude(done_at: nil).order(:done_at).select(:position, :action, :done_at).all.group_by(&:position)
      end

      # Where something was to be done; what was left alone is not drawn.
      def found
        @found ||= Models::Finding.where(job_id: @jobs.map(&:id)).exclude(verdict: "leave").order(:found_at)
          .select(:position, :found_at, :reason).all.group_by(&:position)
      end

      def due(position)
        @soonest ||= @dues.select(&:due_on).reverse.to_h { |due| [due.position, due] }
        due = @soonest[position]
        due && [due.due_on, due.early_on, due.late_on, "#{due.action} due"]
      end
    end
  end
end
