# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Screens
    module Job
      # The sentences about money on the job page. `page` is a Queries::JobPage throughout.
      module MoneyWords
        # @return [String] the sum agreed, the limit; what it comes to now, and what is done of it, where they differ
        def agreed_and_now_words(page)
          agreed = page.agreed or return ""
          limit = ", no call up to #{money(agreed.call_above_cents)}" if agreed.call_above_cents
          now = page.quote.total_cents
          ended = page.to_bill.total_cents
          ["Agreed #{money(agreed.total_cents)}#{limit}",
           ("as it stands now #{money(now)}" unless now == agreed.total_cents),
           ("to pay if it ended now #{money(ended)}" unless ended == now)].compact.join("; ").concat(".")
        end

        # @return [String] what has no part yet, and what to do about it
        def to_choose_words(page)
          places = page.to_choose
          left = places.one? ? "or leave it as it is" : "or leave them as they are"
          "#{English::List.of(places)}, not chosen yet. Choose what goes in, #{left}."
        end

        # @return [String] above the ways to pay
        def to_pay_words(page)
          cents = page.due_cents
          coins = Core::Money::Cash.rounded(cents, policies["smallest_coin_cents"])
          sum = money(cents.abs)
          sum += " (#{money(coins.abs)} in cash)" unless coins == cents
          cents.positive? ? "#{sum}, paid by" : "#{sum} goes back by"
        end

        # @return [String] so that a payment sent twice is taken once
        def payment_key
          SecureRandom.uuid
        end

        # @return [Hash{String=>String}] way => words
        def pay_choices
          Core::Money::Ways::CHOICES
        end

        # @return [String] how money most likely changes hands now
        def usual_now
          Core::Money::Ways::USUAL
        end

        # @return [String] how it is most likely paid
        def usual_way(page)
          page.customer.fleet ? Core::Money::Ways::ON_ACCOUNT : Core::Money::Ways::USUAL
        end
      end
    end
  end
end
