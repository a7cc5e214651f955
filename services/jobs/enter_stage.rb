# frozen_string_literal: true

module UprightBench
  module Services
    # Brings a job to its next stage: locked, allowed from where it stands, written down with who did it.
    # A job that is there already is left as it is, so that a form sent twice is sent once.
    class EnterStage
      # @param number [Integer] the job's
      # @param stage [Symbol]
      # @param again [#call, nil] given the job when it is there already: refuses what is not the same form once more
      # @yieldparam job [Models::Job] locked; what must hold is checked and done here
      # @yieldreturn [Hash] columns to be written with the stage
      # @return [Models::Job]
      # @raise [Refused] when the job cannot get there from where it stands
      def self.call(number, stage, by:, at:, again: nil)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          next job.tap { again&.call(job) } if job.stage == stage
          raise Refused, "Job #{number} is #{words(job.stage)}: it cannot be #{words(stage)} now." unless job.may_become?(stage)

          fields = yield(job)
          job.update(state: stage.to_s, **fields)
          History.note(words(stage), job, by: by, at: at, job: job, data: fields.except(:promise_reason).transform_values(&:to_s))
          job
        end
      end

      def self.words(stage)
        Core::Jobs::States::WORDS.fetch(stage)
      end
      private_class_method :words
    end
  end
end
