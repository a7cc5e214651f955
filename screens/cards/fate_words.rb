# frozen_string_literal: true

module UprightBench
  module Screens
    module Cards
      # What became of a card, in words.
      module FateWords
        def doubt_words(message)
          return "It failed #{message.tries} times and will not be tried again." if message.state == "given_up"

          "It was sent but no answer came back, so nobody knows whether it arrived."
        end

        # @return [String] as in "waiting to leave, leaves tomorrow"
        def message_state_words(message)
          later = message.state == "queued" && message.leaves_on > today
          "#{message_words(message.state)}#{", leaves #{day(message.leaves_on)}" if later}" \
            "#{" (#{shorten(message.last_error)})" if message.last_error}"
        end

        def message_words(state)
          { "queued" => "waiting to leave", "handing_over" => "leaving now",
            "failed" => "failed, will be tried again",
            "given_up" => "failed too often; needs attention", "unsure" => "may have arrived; needs attention",
            "handed_over" => "sent", "rejected" => "refused: the address takes nothing",
            "bounced" => "came back",
            "withdrawn" => "not sent" }.fetch(state)
        end

        def answer_words(kind)
          Services::AnswerCard::KINDS.fetch(kind)
        end
      end
    end
  end
end
