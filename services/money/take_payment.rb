# frozen_string_literal: true

module UprightBench
  module Services
    # Takes money, or gives it back: of a job, as a deposit or for its bill; or of a bill over the counter. The same key
    # twice is taken once.
    class TakePayment
      MOST_CENTS = 10_000_000

      # @param of [Models::Job, Models::Bill] a bill of a job is paid as its job is
      # @param way [String] of Core::Money::Ways::WORDS
      # @param cents [Integer] what it pays off; negative is given back
      # @return [Models::Payment]
      # @raise [Invalid] for another way, or when it is more than what is owed
      def self.call(of:, way:, cents:, by:, at:, note: nil, request_key: nil)
        Permissions.check!(:take_money, by)
        DB.transaction { new((of.job if of.is_a?(Models::Bill)) || of, by, at).call(way, cents, note, request_key) }
      end

      # @param whose [Models::Job, Models::Bill]
      def initialize(whose, by, at)
        @whose = whose
        @job = whose if whose.is_a?(Models::Job)
        @by = by
        @at = at
      end

      def call(way, cents, note, request_key)
        refuse_nonsense(way, cents)
        @job ? @job.lock! : OneAtATime.wait("bill", @whose.id) # a row of history cannot be locked
        CountDrawer.wait if Core::Money::Ways.coins?(way) # after the job, as whoever hands over locks them
        kept = request_key && Models::Payment.first(request_key: request_key)
        return kept if kept

        refuse_too_much(cents)
        take(way, cents, note, request_key)
      end

      private

      def refuse_nonsense(way, cents)
        known = Core::Money::Ways::WORDS
        raise Invalid, { way: ["is one of #{known.values.join(', ')}"] } unless known.key?(way)
        raise Invalid, { cents: ["is a sum"] } unless cents.nonzero? && cents.abs <= MOST_CENTS
      end

      def refuse_too_much(cents)
        owed = @job ? Balance.of_job(@job) : Balance.of(@whose)
        return if deposit?(cents)

        over = cents.positive? ? cents > [owed, 0].max : cents < [owed, 0].min
        return unless over

        raise Invalid,
          { cents: [owed.zero? ? "is paid already" : "is at most #{Policies.now.currency.words(owed.abs)}"] }
      end

      # Before there is a bill, nothing is owed, and it may be any sum.
      def deposit?(cents)
        @job && cents.positive? && Models::Bill.where(job_id: @job.id).empty?
      end

      def take(way, cents, note, request_key)
        payment = Models::Payment.create(job_id: @job&.id, bill_id: (@whose.id unless @job), way: way, cents: cents,
          rounded_cents: rounding(way, cents), note: note, paid_on: Config::Zone.date(@at), taken_at: @at,
          taken_by: @by.id, request_key: request_key)
        History.note(cents.positive? ? "took payment" : "paid back", @whose, by: @by, at: @at, job: @job,
          data: { way: way, cents: cents })
        payment
      end

      def rounding(way, cents)
        return 0 unless Core::Money::Ways.coins?(way)

        Core::Money::Cash.rounded(cents, Policies.now["smallest_coin_cents"]) - cents
      end
    end
  end
end
