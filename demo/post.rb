# frozen_string_literal: true

module UprightBench
  module Demo
    # One past mailing: the cards that left that day, and what some customers answered.
    class Post
      ANSWERS = ["will_come", "will_come", "send_part", "done_elsewhere", "not_now", "not_now", nil, nil, nil, nil, nil]
        .freeze

      STILL_IN_THE_TRAY_DAYS = 31

      def initialize(owner, random, today)
        @today = today
        @owner = owner
        @random = random
      end

      # @param date [Date]
      # @return [Time] when it was sent
      def self.noon(date)
        Config::Zone.at(date, 12)
      end

      # @param date [Date]
      def call(date)
        noon = self.class.noon(date)
        batch = DB.transaction { write(noon) }
        hand_over(batch, date, noon + 60)
        batch.cards_dataset.eager(:lines).all.each do |card|
          kind = ANSWERS.sample(random: @random)
          if kind
            Services::AnswerCard.call(card, kind: kind, by: Services::Actor.customer_by_card(card),
              at: noon + (@random.rand(1..9) * 86_400))
          end
        end
      end

      private

      # The worker has no part in it: it would hand over today what left then.
      def write(noon)
        before = DB[:que_jobs].max(:id) || 0
        batch = Services::WriteBatch.call(Services::SendCards.call(by: @owner, at: noon), at: noon)
        DB[:que_jobs].where { id > before }.where(job_class: WORK).delete
        batch
      end

      WORK = [Services::WriteBatch::Work.name, Outbox::SendBatch.name].freeze
      private_constant :WORK

      # What left long ago is no longer in the trays; only the last mailing's files are made.
      def hand_over(batch, date, time)
        return Outbox::Round.new(batch.id, at: time).call if @today - date <= STILL_IN_THE_TRAY_DAYS

        batch.messages_dataset.update(state: "handed_over", tries: 1, handed_over_at: time)
        batch.update(state: "done", finished_at: time)
      end
    end
  end
end
