# frozen_string_literal: true

module UprightBench
  module Services
    # What lies in the drawer, against what should: what stayed in it at the last count, and the cash since.
    class CountDrawer
      class << self
        # @return [Integer] cents
        def expected
          last = Models::DrawerCount.reverse(:id).first
          cash = Models::Payment.where(way: Core::Money::Ways::COINS)
          cash = cash.where { id > last.last_payment_id } if last&.last_payment_id
          (last&.left_cents || 0) + cash.sum(Sequel[:cents] + Sequel[:rounded_cents]).to_i
        end

        # @param counted_cents [Integer]
        # @param left_cents [Integer] what stays in it; the rest is taken out
        # @param note [String, nil] why it differs
        # @return [Models::DrawerCount]
        # @raise [Invalid] when it differs and nobody says why, or more is left than there was
        def call(counted_cents:, left_cents:, request_key:, by:, at:, note: nil)
          Permissions.check!(:take_money, by)
          DB.transaction do
            wait
            kept = Models::DrawerCount.first(request_key: request_key) and next kept

            expected = self.expected
            refuse(counted_cents, left_cents, expected, note)
            count = Models::DrawerCount.create(counted_cents: counted_cents, left_cents: left_cents, note: note,
              expected_cents: expected, last_payment_id: Models::Payment.max(:id), request_key: request_key,
              counted_at: at, counted_by: by.id)
            History.note("counted the drawer", count, by: by, at: at, data: { counted_cents: counted_cents,
                                                                              expected_cents: expected })
            count
          end
        end

        # Cash goes in and out one after the other, so that a count knows what it has seen.
        def wait
          OneAtATime.wait("drawer", "one")
        end

        private

        def refuse(counted, left, expected, note)
          raise Invalid, { left: ["is more than was counted"] } if left > counted
          return if counted == expected || !note.to_s.empty?

          off = counted - expected
          words = "#{Policies.now.currency.words(off.abs)} too #{off.positive? ? 'much' : 'little'}"
          raise Invalid, { note: ["is needed: #{words}"] }
        end
      end
    end
  end
end
