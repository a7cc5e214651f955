# frozen_string_literal: true

module UprightBench
  module Services
    # Somebody wants a step of the plan otherwise: done by somebody else, later, or where it is and nowhere else. What
    # that would break is said before it is done.
    class MoveStep
      MOVES = 60 # plans that are tried

      # @!attribute effects [Core::Bench::Effects] on the promises
      # @!attribute at [Hash] from, till (Times) and person (id) of the step then
      # @!attribute by [Hash{Integer=>Time}] number of a job => when it could be promised instead
      Answer = Struct.new(:effects, :at, :by, keyword_init: true)

      # @param number [Integer] of a job
      # @param key [String] of a step, one of ChainOfJob::KEYS
      # @param wish [Hash, nil] person_id, not_before, pinned; nil for nothing more
      def initialize(number, key, wish, at:)
        @number = number
        @key = key
        @wish = wish && { person_id: nil, not_before: nil, pinned: false, **wish }
        @at = at
      end

      # @return [Answer]
      # @raise [Refused] when the step is not in the plan, or cannot be done like that
      def what_if
        refuse_unknown
        before = MakePlan.standing(BenchAt.new(at: @at))
        after = Core::Bench::Standing.new(schedule)
        effects = Core::Bench::Effects.new(before, after)
        Answer.new(effects: effects, at: moments,
          by: effects.breaks.to_h { |effect| [effect.number, bench.rounded(bench.time(effect.by))] })
      end

      # Written down, and the plan made with it.
      # @raise [Refused]
      def call(by:)
        Permissions.check!(:work, by)
        DB.transaction do
          job = Lookup.job(@number, lock: true)
          refuse_unknown
          keep(job, by)
          History.note(@wish ? "moved in the plan" : "left to the plan", job, by: by, at: @at, job: job,
            data: { step: @key, **said })
          MakePlan.call(at: @at, moves: MOVES)
        end
      end

      private

      def bench
        @bench ||= BenchAt.new(at: @at, wanted: { @number => { @key => @wish } })
      end

      def schedule
        @schedule ||= Core::Bench::Anew.new(MakePlan.standing(bench)).call(moves: MOVES)
      end

      def step
        schedule.problem.steps.find { |step| name(schedule.problem, step) == [@number, @key] }
      end

      def name(problem, step)
        [problem.chains[step.job].number, step.operation.key.to_s]
      end

      def moments
        moments = schedule.moments(step.index).transform_values { |minute| bench.time(minute) }
        { **moments, person: schedule.technician(step.index).id }
      end

      def refuse_unknown
        problem = MakePlan.standing(bench).schedule.problem
        asked = problem.steps.find { |step| name(problem, step) == [@number, @key] }
        raise Refused, "Job #{@number} has no such step in the plan any more." unless asked
        return if @wish.nil? || @wish[:person_id].nil? || asked.operation.technician == @wish[:person_id]

        raise Refused, "That person is not at the bench, or may not do it."
      end

      def keep(job, by)
        Models::StepWish.where(job_id: job.id, key: @key).delete
        return unless @wish

        Models::StepWish.create(job_id: job.id, key: @key, wished_at: @at, wished_by: by.id, **@wish)
      end

      def said
        return {} unless @wish

        { person: @wish[:person_id] && Models::Person.where(id: @wish[:person_id]).get(:name),
          from: @wish[:not_before]&.iso8601, pinned: (true if @wish[:pinned]) }.compact
      end
    end
  end
end
