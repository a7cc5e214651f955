# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # One stretch of hands-on work of a job, done by one person without putting it away; and the wait that begins when
      # it is done. All times are whole minutes since the beginning of the plan.
      class Operation
        include Value

        # @!attribute key [Symbol] which of the job's it is
        # @!attribute pieces [Array<Integer>] minutes; between two of them it may be laid aside at closing time
        # @!attribute spread [Float] of the logarithm of what it really takes, over what is planned
        # @!attribute dry_minutes [Integer] that pass when it is done, before the next one of the job can begin
        # @!attribute dry_spread [Float] likewise, of their logarithm; they are never fewer
        # @!attribute slots [Array<Integer>] sizes of the rack's slots that are taken meanwhile
        # @!attribute not_before [Integer] when a part comes, or somebody wants it done
        # @!attribute late_spread [Float] of the logarithm of the time until then
        # @!attribute skill [Symbol, nil] that whoever does it must have
        # @!attribute technician [Integer, nil] who does it, and nobody else
        # @!attribute other_hands [Boolean] not whoever did the one before
        # @!attribute place [Symbol, nil] that is taken meanwhile, of those that are short
        # @!attribute wet_minutes [Integer] the last of them, in which something is washed at a wet bench
        # @!attribute pinned [Boolean] it stays where it is, whatever would be sooner
        fields :pieces, key: :work, spread: 0.0, dry_minutes: 0, dry_spread: 0.0, slots: [], not_before: 0,
          late_spread: 0.0, skill: nil, technician: nil, other_hands: false, place: nil, wet_minutes: 0,
          pinned: false

        # @return [Integer]
        def minutes
          pieces.sum
        end

        private

        def check
          raise ArgumentError, "pieces are whole minutes" unless pieces.any? && pieces.all? { |piece| whole?(piece) }
          raise ArgumentError, "a wait is not negative" if dry_minutes.negative?
        end

        def whole?(piece)
          piece.is_a?(Integer) && piece.positive?
        end
      end
    end
  end
end
