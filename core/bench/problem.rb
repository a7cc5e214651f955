# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # All that is to be done and who could do it, as the plan is made from it: operations in one row, each knowing its
      # own place in that row, the one before it in its job and who may do it.
      class Problem
        # One operation of the row. `people` are indices of technicians, `before` the index of the one before it in its
        # job, `dry` what must pass after that one; `pieces` are short enough for anybody's day; `fixed` says
        # that it is pinned, or that something pinned follows it in its job.
        Step = Struct.new(:index, :job, :before, :pieces, :minutes, :people, :dry, :not_before, :operation, :last,
          :fixed)

        CHUNK = 60 # minutes: what is longer than anybody's stretch is done in parts like this

        attr_reader :shop, :chains, :steps, :holds

        # @param shop [Shop]
        # @param chains [Array<Chain>] each job once
        # @param holds [Hash{Array(Integer, Symbol)=>Integer}] number of a job and key of an operation => the minute
        #   before which it is not begun, although it could be: so much is left free for what is before it
        # @raise [Impossible] when nobody may do something
        def initialize(shop, chains, holds = {})
          @shop = shop
          @holds = holds
          @chains = chains.sort_by(&:number)
          @steps = []
          @chains.each_with_index { |chain, job| add(chain, job) }
        end

        # @param number [Integer] a job's
        # @return [Integer] its index among `chains`
        def job(number)
          @jobs ||= @chains.each_with_index.to_h { |chain, index| [chain.number, index] }
          @jobs.fetch(number)
        end

        # @param number [Integer] a job's
        # @return [Chain]
        def chain(number)
          @chains.fetch(job(number))
        end

        # @return [Array<Array<Step>>] of each job
        def steps_of
          @steps_of ||= @steps.chunk_while { |step, following| step.job == following.job }.to_a
        end

        # @return [Integer] the moment, in minutes worked by the shop
        def worked(time)
          @shop.open.worked(time)
        end

        private

        def add(chain, job)
          dry = 0
          fixed = chain.operations.rindex(&:pinned) || -1
          chain.operations.each_with_index do |operation, place|
            @steps << step(chain, operation, job, (@steps.size - 1 unless place.zero?), dry, place <= fixed)
            dry = operation.dry_minutes
          end
        end

        def step(chain, operation, job, before, dry, fixed)
          pieces = operation.pieces.flat_map { |piece| short(piece) }
          last = operation.equal?(chain.operations.last)
          Step.new(@steps.size, job, before, pieces, operation.minutes, people(chain, operation), dry,
            not_before(chain, operation), operation, last, fixed)
        end

        # What somebody pinned was not put there to leave room for others.
        def not_before(chain, operation)
          return operation.not_before if operation.pinned

          [operation.not_before, @holds.fetch([chain.number, operation.key], 0)].max
        end

        def people(chain, operation)
          able = @shop.technicians.each_index.select { |index| @shop.technicians[index].may?(operation) }
          raise Impossible, chain.number if able.empty?

          able
        end

        def short(piece)
          @shortest ||= @shop.technicians.map { |technician| technician.calendar.longest }.min
          return [piece] if piece <= @shortest

          whole, rest = piece.divmod([CHUNK, @shortest].min)
          Array.new(whole, [CHUNK, @shortest].min) + (rest.zero? ? [] : [rest])
        end
      end
    end
  end
end
