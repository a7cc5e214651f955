# frozen_string_literal: true

module UprightBench
  module Services
    # How one thing came out that was tried at the end of a job. What was answered before stands beside it; the last
    # answer counts.
    class AnswerTrial
      MOST = 300

      # @param key [String] of a trial of the job
      # @param result [String] of Core::FinalTest::State::RESULTS
      # @param note [String] what is wrong, or why it cannot be tried here
      # @return [Models::FinalTest]
      # @raise [NotFound] when nothing like that is tried at this machine
      # @raise [Invalid] without the note that it needs
      # @raise [Refused] when the job is closed up, or is not that far
      def self.call(number, key, result, by:, at:, note: "")
        DB.transaction { new(Lookup.job(number, lock: true), by, at).call(key, result, note.to_s.strip[0, MOST]) }
      end

      # All that nobody named a failure of, but what is answered for itself.
      # @param job [Models::Job] locked
      # @param state [Core::FinalTest::State]
      def self.pass_rest(job, state, by:, at:)
        state.open.select { |trial| trial.kind == :usual }
          .each { |trial| new(job, by, at).write(trial.key, "pass", nil) }
      end

      def initialize(job, by, at)
        @job = job
        @by = by
        @at = at
      end

      def call(key, result, note)
        refuse_too_early
        MayTest.check(@job, by: @by)
        trial = TrialsOfJob.trials(@job).find { |one| one.key == key }
        raise NotFound, "Nothing like that is tried at this machine." unless trial && known?(result)

        note = note_for(trial, result, note)
        written = write(key, result, note)
        said = [key, result, note].compact.join(": ")
        TellSearch.call(@job, result, by: @by, at: @at) if trial.kind == :complaint
        History.note("tried", written, by: @by, at: @at, job: @job, data: { note: said })
        written
      end

      # @return [Models::FinalTest]
      def write(key, result, note)
        Models::FinalTest.create(job_id: @job.id, trial: key, result: result, note: note, tested_at: @at,
          tested_by: @by.id)
      end

      private

      def known?(result)
        Core::FinalTest::State::RESULTS.map(&:to_s).include?(result)
      end

      def refuse_too_early
        return if @job.agreed?

        raise Refused, "Job #{@job.number} is #{@job.state_words}: nothing is tried now."
      end

      # A complaint that is still there says it all.
      def note_for(trial, result, note)
        return note.then { |words| words unless words.empty? } if result == "pass"
        return note unless note.empty?
        return "still there" if trial.kind == :complaint && result == "fail"

        raise Invalid, { note: [result == "fail" ? "Write what is wrong." : "Write why it cannot be tried here."] }
      end
    end
  end
end
