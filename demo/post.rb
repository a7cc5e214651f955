# frozen_string_literal: true

module UprightBench
  module Demo
    # One past mailing: the cards that left that day, and what some customers answered.
    class Post
      ANSWERS = ["will_come", "will_come", "send_part", "done_elsewhere", "not_now", "not_now", nil, nil, nil, nil, nil].freeze

      STILL_IN_THE_TRAY_DAYS = 31

      def initialize(owner, random, today)
        @today = today
        @owner = owner
        @random = random
      end

      # @param date [Date]
      def call(date)
        noon = Config::Zone.at(date, 12)
        Services::SendCards.call(by: @owner, at: noon).each do |card|
          hand_over(card.message, date, noon + 60)
          kind = ANSWERS.sample(random: @random)
          Services::AnswerCard.call(card, kind: kind, at: noon + (@random.rand(1..9) * 86_400)) if kind
        end
      end

      private

      # What left long ago is no longer in the trays; only the last mailing's files are made.
      def hand_over(message, date, time)
        return Outbox::Deliver.call(message.id, at: time) if @today - date <= STILL_IN_THE_TRAY_DAYS

        message.update(state: "handed_over", tries: 1, handed_over_at: time)
      end
    end
  end
end
