# frozen_string_literal: true

module UprightBench
  module Services
    # Slots of the rack that the plan keeps for other jobs: what a wash would break that takes one is said before it is
    # done.
    class SlotsForOthers
      MOVES = 60 # plans that are tried once the slot is taken

      # @param job [Models::Job] whose part goes on the rack
      def initialize(job, at:)
        @job = job
        @at = at
      end

      # @yield puts the part on the rack; the caller's transaction takes that back when this raises
      # @return what the block returns
      # @raise [TakesSlot] when a promise of another job would be in danger
      def watch
        return yield unless short?

        before = planned { MakePlan.standing(bench) }
        result = yield
        after = before && planned { after_it }
        refuse(Core::Bench::Effects.new(before, after)) if after
        result
      end

      private

      # Where each part that is still to be washed has a slot, nothing has to be worked out.
      def short?
        free = (bench.shop.slots || []).select { |slot| slot.busy_until.zero? }
        !Core::Bench::Slot.enough?(free.map(&:size), bench.chains.flat_map(&:operations).flat_map(&:slots))
      end

      def bench
        @bench ||= BenchAt.new(at: @at)
      end

      # What cannot be planned keeps nobody from the rack.
      def planned
        yield
      rescue Core::Bench::BeyondHorizon, Core::Bench::Impossible, Core::Bench::NoSlot
        nil
      end

      def after_it
        schedule = Core::Bench::Anew.new(MakePlan.standing(BenchAt.new(at: @at))).call(moves: MOVES)
        Core::Bench::Standing.new(schedule)
      end

      def refuse(effects)
        broken = effects.breaks.reject { |effect| effect.number == @job.number }
        return if broken.empty?

        raise TakesSlot, "The plan keeps this slot of the rack for other work. #{broken.map { |one| told(one) }.join}" \
                         "Take it all the same, or say where the part dries instead."
      end

      def told(effect)
        "Job #{effect.number}, promised for #{words(Models::Job.where(number: effect.number).get(:promise_at))}, " \
          "would then be ready by #{words(bench.rounded(bench.time(effect.by)))}. "
      end

      def words(time)
        Moments.words(time, at: @at)
      end
    end
  end
end
