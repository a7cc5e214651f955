# frozen_string_literal: true

module UprightBench
  module Services
    # That a competent person tested the electrical safety of a machine, under the rules of the place. Which values are
    # good, and how they are measured, is theirs to know.
    class RecordSafetyTest
      # @param tester [String] who made it
      # @param instrument [String] with what
      # @param tested_on [Date]
      # @param valid_until [Date, nil] until when it holds, where the rules say so
      # @return [Models::SafetyTest]
      # @raise [Invalid] naming what is missing
      def self.call(number, tester:, instrument:, tested_on:, by:, at:, valid_until: nil)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          refuse_wrong(tester, instrument, tested_on, valid_until, at)
          made = Models::SafetyTest.create(machine_id: job.machine_id, job_id: job.id, tester: tester.strip,
            instrument: instrument.strip, tested_on: tested_on, valid_until: valid_until, recorded_at: at,
            recorded_by: by.id)
          History.note("recorded a safety test", made, by: by, at: at, job: job, data: { note: tester.strip })
          answer(job, made, by, at)
          made
        end
      end

      def self.refuse_wrong(tester, instrument, tested_on, valid_until, at)
        wrong = { tester: (["Write who tested it."] if tester.to_s.strip.empty?),
                  instrument: (["Write with which instrument."] if instrument.to_s.strip.empty?),
                  tested_on: day_problem(tested_on, at),
                  valid_until: (["It ends before it begins."] if valid_until && tested_on && valid_until <= tested_on) }
        raise Invalid, wrong.compact if wrong.compact.any?
      end

      def self.day_problem(day, at)
        return ["Write the day of the test."] if day.nil?

        ["That day is still to come."] if day > Config::Zone.date(at)
      end

      # Where this job asks for it.
      def self.answer(job, made, by, at)
        key = Core::FinalTest::Plan::SAFETY
        return unless job.agreed? && TrialsOfJob.trials(job).any? { |trial| trial.key == key }

        AnswerTrial.new(job, by, at).write(key, "pass", "#{made.tester}, #{made.instrument}")
      end
      private_class_method :refuse_wrong, :day_problem, :answer
    end
  end
end
