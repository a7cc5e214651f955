# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # When will the machine be ready? Hands-on minutes before the wait, the wait (for what dries, or for a part that
      # must come, whichever is longer), hands-on minutes after, a buffer, all in open hours, rounded up to the next
      # quarter hour.
      #
      # `hours` answers `after(time, minutes)` (open minutes later) and `open_from(time)` (first open moment at or
      # after).
      class Promise
        BUFFER_MINUTES = Policies::Table.default("promise_buffer_minutes")
        REFIT_MINUTES = 15   # to refit, test and label once everything is dry (house rule)
        QUARTER = 15 * 60    # seconds

        # @param hours [#after, #open_from]
        # @param now [Time]
        # @param hands_on_minutes [Numeric] before the wait
        # @param wait_hours [Numeric] the longest wait, 0 when nothing is washed
        # @param lead_days [Numeric] until the last part has come, 0 when all are there
        def initialize(hours:, now:, hands_on_minutes:, wait_hours: 0, lead_days: 0, buffer_minutes: BUFFER_MINUTES)
          @hours = hours
          @now = now
          @hands_on_minutes = hands_on_minutes
          @wait_hours = wait_hours
          @lead_days = lead_days
          @buffer_minutes = buffer_minutes
        end

        # @return [Time] on a quarter hour, within open hours
        def call
          wet_from = @hours.after(@hours.open_from(@now), @hands_on_minutes)
          waited = [wet_from + (@wait_hours * 3600), @now + (@lead_days * 86_400)].max
          quarter(@hours.after(@hours.open_from(waited), REFIT_MINUTES + @buffer_minutes))
        end

        # @return [Reason]
        def reason
          Reason.of(:ready_by, minutes: @hands_on_minutes.round, wait_hours: (@wait_hours if @wait_hours.positive?),
            lead_days: (@lead_days if @lead_days.positive?), refit: REFIT_MINUTES, buffer: @buffer_minutes)
        end

        private

        def quarter(time)
          over = time.to_i % QUARTER
          over.zero? ? time : time + (QUARTER - over)
        end
      end
    end
  end
end
