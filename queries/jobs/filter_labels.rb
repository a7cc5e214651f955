# frozen_string_literal: true

module UprightBench
  module Queries
    # The labels of what was newly fitted in a job, with the day the part is next due.
    class FilterLabels
      def initialize(job)
        @job = job
      end

      # @return [Array<Hash>] as Papers::FilterLabel takes them
      def call
        dues = Models::Due.running.where(machine_id: @job.machine_id, action: "replace").select_hash(:position, :due_on)
        Models::Fitting.where(job_id: @job.id).order(:id).map do |fitting|
          { part: @job.sheet.position(fitting.position).name, machine: machine_words, fitted_on: fitting.fitted_on,
            due_on: dues[fitting.position], code: "M#{@job.machine_id}" }
        end
      end

      def machine_words
        [@job.machine.sheet.title, @job.machine.serial_number].compact.join(", ")
      end
    end
  end
end
