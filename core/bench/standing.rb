# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # The plan that stands, and what it means for the promises that were given: in how many of all draws each is kept,
      # and until when each job must be ready in a plan, so that it stays so.
      class Standing
        DANGER = 0.8 # of the share that is to be kept: below that, a promise is in danger (house rule)

        NEARLY = 10 # minutes before the promise, that one more job may well take (it only saves time)

        attr_reader :schedule

        # @param problem [Problem]
        # @param kept [Kept]
        # @return [Standing]
        def self.of(problem, kept, chances: Chances.new)
          new(Placing.new(problem).call(kept.order(problem), kept.given(problem)), chances: chances)
        end

        def initialize(schedule, chances: Chances.new)
          @schedule = schedule
          @problem = schedule.problem
          @replay = Replay.new(schedule, chances: chances)
        end

        # @return [Hash{Integer=>Float}] number => share of draws in which its promise is kept
        def shares
          @shares ||= shares_in(@replay)
        end

        # @param replay [Replay] also of another plan
        def shares_in(replay)
          promised.to_h { |chain| [chain.number, replay.share(chain.number, chain.promise)] }
        end

        # @param number [Integer] a job's
        # @param of_wanted [Float] how sure, of as sure as a promise is to be kept
        # @return [Integer] the moment by which it is ready as surely
        def ready_by(number, of_wanted = 1.0)
          @replay.quantile(number, wanted(number) * of_wanted)
        end

        # @param number [Integer] a job's
        # @return [Integer] the moment by which it could be promised now
        def by(number)
          @replay.promisable(number, wanted(number)).by
        end

        # @param number [Integer] a job's
        # @return [Float] share of draws in which it is ready by then
        def share(number, moment)
          @replay.share(number, moment)
        end

        # @return [Array<Integer>] numbers of jobs whose promise may well be broken, the likeliest first
        def in_danger
          shares.keys.select { |number| in_danger?(number) }.sort_by { |number| shares.fetch(number) }
        end

        # @param number [Integer] of a job with a promise
        # @return [Boolean]
        def in_danger?(number)
          shares.fetch(number) < wanted(number) * DANGER
        end

        # How much later a job may be ready in the plan, in minutes that the shop works: as much as is left between the
        # moment by which it is ready as surely as it should be, and its promise. None where nothing is left.
        # @param of_wanted [Float] likewise
        # @return [Hash{Integer=>Integer}] number => until when, in minutes worked
        def limits(of_wanted = 1.0)
          (@limits ||= {})[of_wanted] ||= promised.to_h do |chain|
            planned = @problem.worked(@schedule.ready(@problem.job(chain.number)))
            spare = @problem.worked(chain.promise) - @problem.worked(ready_by(chain.number, of_wanted))
            [chain.number, planned + [spare, 0].max]
          end
        end

        # Where promises in danger are to be saved: until when those must be ready to be as sure as they should, and the
        # others to stay out of danger.
        # @return [Hash{Integer=>Integer}] number => until when, in minutes worked
        def saving_limits
          limits(DANGER).merge(in_danger.to_h { |number| [number, safe_limit(number)] })
        end

        # Between what a job takes and what it may take lies as much as now.
        # @param number [Integer] of a job with a promise
        # @param problem [Problem] whose minutes worked are asked for
        # @return [Integer] until when it must be ready in a plan, to be as sure as it should
        def safe_limit(number, problem: @problem)
          job = @problem.job(number)
          spread = problem.worked(ready_by(number)) - problem.worked(@schedule.ready(job))
          problem.worked(@problem.chains[job].promise) - [spread, 0].max
        end

        # @param replay [Replay] of a plan with one more job
        # @return [Boolean] every promise keeps its chance, or gets no worse
        def harmless?(replay)
          replay.keeps?(least, riskiest_first)
        end

        private

        # @return [Hash{Integer=>Integer}] number => in how many draws its promise must be kept
        def least
          @least ||= shares.to_h do |number, share|
            wanted = [wanted(number), share].min
            [number, (0..Draws::COUNT).bsearch { |count| count.fdiv(Draws::COUNT) >= wanted }]
          end
        end

        # @return [Array<Integer>] draws, first those in which a promise is nearly broken that may be broken in few more
        def riskiest_first
          @riskiest_first ||= begin
            risks = Array.new(Draws::COUNT, 0.0)
            promised.each { |chain| add_risks(risks, chain) }
            (0...Draws::COUNT).sort_by { |number| [-risks[number], number] }
          end
        end

        def add_risks(risks, chain)
          readies = @replay.readies[@problem.job(chain.number)]
          more = readies.count { |ready| ready <= chain.promise } - least.fetch(chain.number)
          risk = 1.0 / ((1 + more)**2)
          readies.each_with_index { |ready, number| risks[number] += risk if ready + NEARLY > chain.promise }
        end

        # @return [Float] of draws, in which its promise is to be kept
        def wanted(number)
          @problem.chains[@problem.job(number)].share
        end

        def promised
          @promised ||= @problem.chains.select(&:promise)
        end
      end
    end
  end
end
