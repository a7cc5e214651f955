# frozen_string_literal: true

module UprightBench
  module Queries
    # The jobs of a machine that its next take-in asks for: the one that it is in, and what was done when it was last
    # here. Two queries.
    module LastJobs
      MOST = 3
      Past = Struct.new(:job, :ended_on, :work, :left, keyword_init: true)

      # @param machine [Models::Machine]
      # @return [Array<Past>] `work` is place and action, as in [["foam filter", "replace"]]; `left` are places
      #   that the customer left
      def self.call(machine)
        jobs = Models::Job.where(machine_id: machine.id).exclude(handed_over_at: nil).reverse(:id).limit(MOST).all
        items = Models::WorkItem.where(job_id: jobs.map(&:id)).order(:sequence)
          .select(:job_id, :position, :action, :state).all.group_by(&:job_id)
        jobs.map { |job| past(job, items.fetch(job.id, [])) }
      end

      def self.past(job, items)
        named = items.group_by(&:state).transform_values do |alike|
          alike.map { |item| [job.sheet.position(item.position).name.downcase, item.action] }
        end
        Past.new(job: job, ended_on: Config::Zone.date(job.handed_over_at), work: named.fetch("done", []),
          left: named.fetch("left", []).map(&:first))
      end
      private_class_method :past
    end
  end
end
