# frozen_string_literal: true

module UprightBench
  module Services
    # A machine goes home mended and proven, or with the reason why it is not.
    module Proven
      module_function

      # @param job [Models::Job] locked, all its work done
      # @param reason [String] why it goes home with its complaint; empty when it is gone
      # @return [Hash] columns of the job
      # @raise [Refused] while something is to be tried, failed, or is still there
      def check(job, reason, by:, at:)
        state = TrialsOfJob.state(job)
        refuse_open(state)
        MayTest.check(job, by: by) if state.open.any?
        refuse_failed(job, state) if reason.empty?
        AnswerTrial.pass_rest(job, state, by: by, at: at)
        state.failed.empty? ? {} : { not_mended_reason: reason[0, 300], not_mended_by: by.id }
      end

      # What is answered for itself, as nobody passes it with the rest.
      def refuse_open(state)
        open = state.to_answer
        raise Refused, "Still to be tried: #{open.map { |trial| words(trial) }.join('; ')}." if open.any?
      end

      def refuse_failed(job, state)
        failed = state.failed
        return if failed.empty?

        raise Refused, "It did not pass: #{failed.map { |trial| words(trial) }.join('; ')}. Mend it and try it " \
                       "again, or write why job #{job.number} goes home not mended."
      end

      def words(trial)
        trial.kind == :complaint ? "the complaint “#{trial.words[0, 80]}”" : trial.words
      end
    end
  end
end
