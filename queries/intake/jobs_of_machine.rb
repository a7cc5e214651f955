# frozen_string_literal: true

module UprightBench
  module Queries
    # The jobs of a machine that its next take-in asks for: the one that it is in already, and what was done when it was
    # last here. Two queries.
    class JobsOfMachine
      MOST = 3
      Past = Struct.new(:job, :ended_on, :work, :left, keyword_init: true)

      # @param machine [Models::Machine]
      def initialize(machine)
        @machine = machine
      end

      # A machine has one at a time, and it is the newest.
      # @return [Models::Job, nil] the job it is in
      def open
        newest.find(&:in_shop?)
      end

      # @return [Array<Past>] the newest first; `work` is place and action, as in [["foam filter", "replace"]]; `left`
      #   are places that the customer left
      def past
        @past ||= begin
          jobs = newest.select(&:handed_over_at).first(MOST)
          items = Models::WorkItem.where(job_id: jobs.map(&:id)).order(:sequence)
            .select(:job_id, :position, :action, :state).all.group_by(&:job_id)
          jobs.map { |job| one(job, items.fetch(job.id, [])) }
        end
      end

      private

      def newest
        @newest ||= Models::Job.where(machine_id: @machine.id).reverse(:id).limit(MOST + 1).all
      end

      def one(job, items)
        named = items.group_by(&:state).transform_values do |alike|
          alike.map { |item| [job.sheet.position(item.position).name.downcase, item.action] }
        end
        Past.new(job: job, ended_on: Config::Zone.date(job.handed_over_at), work: named.fetch("done", []),
          left: named.fetch("left", []).map(&:first))
      end
    end
  end
end
