# frozen_string_literal: true

module UprightBench
  module Services
    # When could a job be promised, with this or that to be done for it? The bench is read once, however often it is
    # asked.
    class AskPromise
      MOVES = 24 # plans tried: as many for a promise that is shown as for one that is given, so that both are the same

      # @!attribute at [Time] on a quarter hour
      # @!attribute reason [Core::Reason]
      # @!attribute schedule [Core::Bench::Schedule] of the whole bench
      Answer = Struct.new(:at, :reason, :schedule, keyword_init: true)

      # @param number [Integer] the job's; any other, for what is no job yet
      # @param at [Time]
      def initialize(number, at:, policies: Policies.now)
        @number = number
        @bench = BenchAt.new(at: at, policies: policies)
        @answers = {}
        @chances = Core::Bench::Chances.new
      end

      attr_reader :bench

      # @param asks [Array<Promises::Ask>]
      # @param wet_until [Time, nil] until when something of it dries already
      # @param brought_at [Time, nil] when it comes to the shop; nil where it is there
      # @return [Answer]
      # @raise [Refused] when nobody could ever do it
      def call(asks, wet_until: nil, brought_at: nil)
        @answers[[asks.map(&:to_a).sort_by(&:to_s), brought_at]] ||= begin
          chain = @bench.chain(@number, asks, wet_until: wet_until, brought_at: brought_at)
          told(asks, take_in(chain).call(moves: MOVES), wet_until)
        end
      rescue Core::Bench::BeyondHorizon, Core::Bench::Impossible, Core::Bench::NoSlot => e
        raise Refused, "No time can be promised: #{e.message}."
      end

      # For a job that has its place in the plan, of which is known when it is ready there, as surely as a promise is to
      # be kept. Nothing is moved for it.
      # @param till [Time] then
      # @param wet_until [Time, nil] until when something of it dries already
      # @return [Answer]
      # @raise [Refused] where it is in the plan no more
      def as_planned(asks, till:, wet_until: nil)
        standing = MakePlan.standing(@bench)
        job = standing.schedule.problem.chains.index { |chain| chain.number == @number }
        raise Refused, "Job #{@number} is not in the plan any more." unless job

        by = @bench.minutes(till)
        told(asks, Core::Bench::TakeIn::Answer.of(standing.schedule, job, by: by, share: standing.share(@number, by)),
          wet_until)
      end

      # What it would take to be promised sooner.
      # @return [Array<Core::Bench::Sooner::Way>] the soonest first, each with a Time as `by`
      def sooner(asks, wet_until: nil)
        ask = ask_of(@bench.chain(@number, asks, wet_until: wet_until))
        ways = Core::Bench::Sooner.new(ask, Core::Bench::TakeIn.new(**ask).call(moves: MOVES)).call
        ways.each { |way| way.by = @bench.rounded(@bench.time(way.by)) }
      rescue Core::Bench::BeyondHorizon, Core::Bench::Impossible, Core::Bench::NoSlot
        []
      end

      private

      def told(asks, answer, wet_until)
        at = @bench.rounded(@bench.time(answer.by))
        Answer.new(at: at, reason: reason(asks, answer, at, wet_until), schedule: answer.schedule)
      end

      def ask_of(chain)
        @chains ||= @bench.chains(except: @number)
        { shop: @bench.shop, chains: @chains, chain: chain, kept: @bench.kept }
      end

      def take_in(chain)
        take_in = Core::Bench::TakeIn.new(**ask_of(chain), standing: @standing, chances: @chances)
        @standing = take_in.standing
        take_in
      end

      def reason(asks, answer, at, wet_until)
        Core::Reason.of(:ready_by, **work(asks), **waits(asks), **wet(wet_until), **held_up(answer),
          refit_minutes: ChainOfJob::REFIT_MINUTES, spare_minutes: spare(answer, at),
          share: [(answer.share * 100).floor, 99].min)
      end

      # @return [Integer] open minutes
      def spare(answer, at)
        open = @bench.shop.open
        [open.worked(@bench.minutes(at)) - open.worked(answer.planned), 0].max
      end

      # @return [Hash] figures that there are
      def work(asks)
        minutes = asks.sum(&:minutes).round
        minutes.positive? ? { work_minutes: minutes } : {}
      end

      # @return [Hash] likewise
      def wet(till)
        minutes = till ? @bench.minutes(till) : 0
        minutes.positive? ? { wet_hours: minutes.fdiv(60).round(1) } : {}
      end

      # @return [Hash] likewise
      def held_up(answer)
        { slots: answer.for_room, free_place: answer.for_place, behind: answer.held_up_by }
          .reject { |_, what| [0, nil, []].include?(what) }
      end

      # @return [Hash] of those that there are
      def waits(asks)
        waits = { wait_hours: asks.map(&:wait_hours).max&.round(1), lead_days: asks.map(&:lead_days).max&.ceil }
        waits.compact.select { |_, wait| wait.positive? }
      end
    end
  end
end
