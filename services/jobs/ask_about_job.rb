# frozen_string_literal: true

module UprightBench
  module Services
    # What a customer asks on the page behind the tag's code, and what the shop replies.
    module AskAboutJob
      MOST_OPEN = 5

      module_function

      # Asked twice is asked once.
      # @param by [Actor]
      # @return [Models::Question]
      # @raise [Invalid]
      def ask(job, text, by:, at:)
        text = text.to_s.strip
        raise Invalid, { question: ["Write your question."] } if text.empty?

        DB.transaction do
          open = Models::Question.unanswered.where(job_id: Lookup.job(job.number, lock: true).id).all
          open.find { |question| question.asked == text } || asked(job, text, open.size, by, at)
        end
      end

      # @param open [Integer] questions of theirs that are not answered yet
      def asked(job, text, open, by, at)
        if open >= MOST_OPEN
          raise Invalid, { question: ["We have #{MOST_OPEN} questions of yours to answer. Call us."] }
        end

        question = Models::Question.create(job_id: job.id, asked: text, asked_at: at)
        History.note("asked", question, by: by, at: at, job: job, data: { note: text })
        question
      end

      # The first reply stands.
      # @raise [Invalid, NotFound, Refused]
      def reply(number, question_id, text, by:, at:)
        text = text.to_s.strip
        raise Invalid, { reply: ["Write the reply."] } if text.empty?

        DB.transaction do
          job = Lookup.job(number, lock: true)
          asked = Models::Question.first(id: question_id, job_id: job.id) ||
                  raise(NotFound, "Job #{number} has no such question.")
          raise Refused, "This was answered already." if asked.reply && asked.reply != text
          next asked if asked.reply

          asked.update(reply: text, replied_by: by.id, replied_at: at)
          History.note("replied", asked, by: by, at: at, job: job, data: { note: text })
          asked
        end
      end
    end
  end
end
