# frozen_string_literal: true

module UprightBench
  module Queries
    # The end of the work on a job's page: the tray, and the final test.
    module JobClosing
      # @return [Array<String>] what the tray has against closing up
      def not_back
        @not_back ||= Services::AllBack.problems(@job)
      end

      # @return [Array<Core::FinalTest::Trial>]
      def trials
        @trials ||= Services::TrialsOfJob.trials(@job, items: items)
      end

      # @return [Core::FinalTest::State]
      def trial_state
        @trial_state ||= Services::TrialsOfJob.state(@job, items: items, trials: trials)
      end

      # @return [Models::FinalTest, nil] the last time that the complaint was tried again
      def complaint_tried
        Models::FinalTest.where(job_id: @job.id, trial: Core::FinalTest::Plan::COMPLAINT).reverse(:id).first
      end

      # @return [Array<Models::WorkItem>] whose part went back into the machine before it was dry, and is wet still
      def back_wet
        items.reject(&:rotates).select { |item| item.rack_stays.last&.then { |stay| stay.off_at && !stay.dry?(@now) } }
      end

      # @return [Models::SafetyTest, nil] that was recorded in this job, the last
      def safety_test
        Models::SafetyTest.where(job_id: @job.id).reverse(:id).first
      end

      # @return [Array<Core::Suction::Gain>] what was read before the work, and again after it
      def gains
        @gains ||= Services::AirOfJob.new(@job).gains.select(&:before)
      end

      # @return [Core::Work::BlowOut] of what is still to do
      def blow_out
        @blow_out ||= Core::Work::BlowOut.new(sheet, to_do)
      end

      # @return [StripPage]
      def strip
        @strip ||= StripPage.new(@job, now: @now, items: items)
      end
    end
  end
end
