# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # What is said of a job while it is in the shop, and with a bill, as Texts has the other words: the text, the
      # fields it may have, those it must have, what it is.
      module NoticeTexts
        JOB = %i[customer machine shop phone hours link].freeze
        FOOT = "\n\n{shop}\n{phone}"
        private_constant :JOB, :FOOT

        ALL = {
          ready_subject: ["Your {machine} is ready", JOB - %i[link], [], "Ready: subject"],
          ready_body: ["Dear {customer},\n\nyour {machine} is ready to fetch. We are open {hours}.\n\nWhat we did: " \
                       "{link}#{FOOT}", JOB, [], "Ready: e-mail"],
          ready_short: ["{shop}: your {machine} is ready to fetch. {link}", JOB, [], "Ready: text message"],
          fetch_subject: ["Your {machine} still waits for you", JOB - %i[link], [], "Not fetched: subject"],
          fetch_body: ["Dear {customer},\n\nyour {machine} is ready and still waits for you. We are open " \
                       "{hours}.\n\n{link}#{FOOT}", JOB, [], "Not fetched: e-mail"],
          fetch_short: ["{shop}: your {machine} still waits for you. {link}", JOB, [], "Not fetched: text message"],
          late_subject: ["Your {machine} will be later", JOB - %i[link], [], "Later: subject"],
          late_body: ["Dear {customer},\n\nwe are sorry: your {machine} will be ready {time}, later than we " \
                      "said.\n\n{link}#{FOOT}", [*JOB, :time], %i[time], "Later: e-mail"],
          late_short: ["{shop}: sorry, your {machine} will be ready {time}, later than we said.", [*JOB, :time],
                       %i[time], "Later: text message"],
          estimate_subject: ["Our estimate for your {machine}", JOB - %i[link], [], "Estimate: subject"],
          estimate_body: ["Dear {customer},\n\nwe looked over your {machine}. Our estimate is {total}; its prices " \
                          "hold until {day}. See it, agree to it or ask us here:\n\n{link}#{FOOT}",
                          [*JOB, :total, :day], %i[link], "Estimate: e-mail"],
          estimate_short: ["{shop}: our estimate for your {machine} is {total}. See it and answer: {link}",
                           [*JOB, :total, :day], %i[link], "Estimate: text message"],
          bill_subject: ["{bill} from {shop}", %i[bill shop], %i[bill], "Bill: subject"],
          bill_body: ["Dear {customer},\n\nattached is {bill}, {total}. Thank you.#{FOOT}",
                      %i[customer bill total shop phone], %i[bill], "Bill: e-mail"]
        }.freeze
      end
    end
  end
end
