# frozen_string_literal: true

module UprightBench
  module Screens
    # What is tried before a machine goes home, on the page of its job.
    module FinalTests
      def self.registered(app)
        app.helpers Helpers

        app.post "/jobs/:number/trials/:key", may: :work do
          number = id_of(params["number"])
          key = params["key"].to_s
          attempt(number, "trial-#{key}") do
            Services::AnswerTrial.call(number, key, params["result"].to_s, by: person, at: now,
              note: Job::Note.of(params["note"], :note).to_s)
          end
        end

        app.post "/jobs/:number/safety-tests", may: :work do
          number = id_of(params["number"])
          attempt(number, "safety") do
            Services::RecordSafetyTest.call(number, **SafetyForm.read(params), by: person, at: now)
          end
        end
      end

      # Helpers of this screen's routes and templates.
      module Helpers
        RESULT_WORDS = { pass: "passed", fail: "failed", not_possible: "not possible here" }.freeze
        COMPLAINT_WORDS = { pass: "gone", fail: "still there", not_possible: "could not be tried here" }.freeze

        # @return [String] as in "failed: it hums (Tobiah Lund, today 10:15)"
        def trial_answer_words(trial, answer)
          words = trial.kind == :complaint ? COMPLAINT_WORDS : RESULT_WORDS
          note = ": #{answer.note}" if answer.note && answer.note != words.fetch(answer.result.to_sym)
          "#{words.fetch(answer.result.to_sym)}#{note} (#{answer.tester.name}, #{moment(answer.tested_at)})"
        end

        # @return [String] what became of the complaint, as far as it was tried
        def outcome_words(page)
          tried = page.complaint_tried or return ""
          ": #{COMPLAINT_WORDS.fetch(tried.result.to_sym)}"
        end

        # @return [String] SVG
        def before_after(gain)
          Drawings::BeforeAfter.new(gain.before / gain.expected, gain.restored).render
        end

        # @return [String] of the button that closes up
        def close_up_words(state)
          return "Close up, not mended" if state.failed.any?

          state.open.any? { |trial| trial.kind == :usual } ? "The rest passes: close up" : "Close up"
        end

        # @return [Array<Core::FinalTest::Trial>] what is answered for itself last, as it is tried last
        def trials_in_order(page)
          page.trials.partition { |trial| trial.kind == :usual }.flatten
        end

        def safety_test_words(test)
          until_then = ", holds until #{full_day(test.valid_until)}" if test.valid_until
          "#{test.tester}, #{test.instrument}, #{full_day(test.tested_on)}#{until_then}"
        end
      end
    end
  end
end
