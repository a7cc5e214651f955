# frozen_string_literal: true

module UprightBench
  module Services
    # The tray of a job, from its work items and the steps that are open.
    module TrayOfJob
      # At a place that is left or referred, nothing is opened.
      OPENED_FOR = %w[clean wash replace].freeze

      module_function

      # @param job [Models::Job]
      # @param items [Array<Models::WorkItem>] in order of work
      # @param open [Array<String>] keys of steps
      # @return [Core::Strip::Tray]
      def call(job, items: job.work_items_dataset.order(:sequence).all, open: open_steps(job))
        worked = items.select { |item| OPENED_FOR.include?(item.action) }
        Core::Strip::Tray.new(job.sheet, to_do: places(worked, "to_do"), done: places(worked, "done"), open: open)
      end

      def places(items, state)
        items.select { |item| item.state == state }.map(&:position)
      end

      # @return [Core::Sheets::Step]
      # @raise [NotFound] when the job's sheet has no such step
      def step(job, key)
        return job.sheet.step(key) if job.sheet.step?(key)

        raise NotFound, "The sheet of job #{job.number} has no such step."
      end

      # @return [Array<String>]
      def open_steps(job)
        Models::OpenedStep.standing.where(job_id: job.id).order(:id).select_map(:step)
      end

      # @return [Array<String>] tools of all that was opened in the job
      def tools(job, steps: Models::OpenedStep.where(job_id: job.id).distinct.select_map(:step))
        job.sheet.steps.select { |step| steps.include?(step.key) }.flat_map(&:tools).uniq
      end
    end
  end
end
