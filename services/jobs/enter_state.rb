# frozen_string_literal: true

module UprightBench
  module Services
    # Brings a job to its next state: locked, allowed from where it stands, written down with who did it.
    # A job that is there already is left as it is, so that a form sent twice is sent once.
    class EnterState
      # @param number [Integer] the job's
      # @param state [Symbol]
      # @param again [#call, nil] given the job when it is there already: refuses what is not the same form once more
      # @yieldparam job [Models::Job] locked; what must hold is checked and done here
      # @yieldreturn [Hash] columns to be written with the state
      # @return [Models::Job]
      # @raise [Refused] when the job cannot get there from where it stands
      def self.call(number, state, by:, at:, again: nil)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          next job.tap { again&.call(job) } if job.state == state.to_s
          unless job.may_become?(state)
            raise Refused, "Job #{number} is #{job.state_words}: it cannot be #{words(state)} now."
          end

          fields = yield(job)
          job.update(state: state.to_s, **came_from(job, state), **fields)
          History.note(words(state), job, by: by, at: at, job: job,
            data: fields.except(:promise_reason).transform_values(&:to_s))
          job
        end
      end

      # @return [Hash] where a job goes back to, when this is taken back
      def self.came_from(job, state)
        return {} unless TakeBack::STATES.include?(state.to_s)

        { came_from: Sequel.pg_array([*job.came_from, job.state], :text) }
      end

      def self.words(state)
        Core::Jobs::States::WORDS.fetch(state)
      end
      private_class_method :words, :came_from
    end
  end
end
