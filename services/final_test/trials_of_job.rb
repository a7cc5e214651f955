# frozen_string_literal: true

module UprightBench
  module Services
    # What is tried at the end of a job, and how far it is.
    module TrialsOfJob
      module_function

      # @param job [Models::Job]
      # @param items [Array<Models::WorkItem>]
      # @return [Array<Core::FinalTest::Trial>]
      def trials(job, items: job.work_items_dataset.order(:sequence).all)
        Core::FinalTest::Plan.new(job.sheet, worked: worked(items), complaint: job.complaint,
          point: read_before(job, items), lifted: lifted(job, items)).call
      end

      # @param answers [Array<Models::FinalTest>] the first given first
      # @return [Core::FinalTest::State]
      def state(job, items: job.work_items_dataset.order(:sequence).all, answers: answers(job),
        trials: trials(job, items: items))
        Core::FinalTest::State.new(trials, answers, changed_at: changed_at(job, items))
      end

      def answers(job)
        Models::FinalTest.where(job_id: job.id).order(:id).eager(:tester).all
      end

      def worked(items)
        items.select { |item| item.state == "done" && item.action != "refer" }.map(&:position)
      end

      # @return [Array<String>]
      def lifted(job, items)
        Core::Work::BlowOut.new(job.sheet, items.select { |item| item.state == "done" }).light
      end

      # @return [Time, nil] when something was last done to the machine
      def changed_at(job, items)
        closed = Models::OpenedStep.where(job_id: job.id).max(:closed_at)
        [*items.filter_map { |item| item.done_at if item.state == "done" }, closed].compact.max
      end

      # @return [String, nil] name of the station where suction or flow was read before anything was done
      def read_before(job, items)
        first = items.filter_map { |item| item.done_at if item.state == "done" }.min or return
        point = Models::SuctionReading.where(job_id: job.id) { taken_at < first }.order(:id).get(:point) or return
        job.sheet.stations.find { |station| station.key == point }&.name
      end
    end
  end
end
