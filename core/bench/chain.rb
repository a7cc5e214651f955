# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # What is still to be done for a job, one operation after the other.
      class Chain
        include Value

        SHARE = Policies::Table.default("promises_kept_percent") / 100.0

        # @!attribute number [Integer] the job's
        # @!attribute operations [Array<Operation>]
        # @!attribute promise [Integer, nil] minutes since the beginning of the plan; nil before anything is promised
        # @!attribute share [Float] of draws in which its promise is to be kept at least
        fields :number, :operations, promise: nil, share: SHARE

        # @return [Chain] in which nothing needs a slot of the rack
        def off_the_rack
          with(operations: operations.map { |operation| operation.with(slots: []) })
        end

        # @return [Chain] in which nothing is washed, so that nothing dries
        def without_drying
          with(operations: operations.map { |operation| operation.with(dry_minutes: 0, slots: []) })
        end

        # @return [Boolean] a part is still to come
        def waits_for_part?
          operations.any? { |operation| operation.not_before.positive? && operation.late_spread.positive? }
        end

        # @return [Boolean]
        def dries?
          operations.any? { |operation| operation.dry_minutes.positive? }
        end

        private

        def check
          raise ArgumentError, "nothing is to be done" if operations.empty?
          raise ArgumentError, "#{share} is no share" unless share.between?(0, 1)
        end
      end
    end
  end
end
