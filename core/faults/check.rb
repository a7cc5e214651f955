# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # Something that is done to find the fault.
      #
      # A proving check shows what is at one place: when it shows something, that was it. A splitting check proves
      # nothing, it moves the belief: it says how likely its sign is with each cause.
      #
      # @!attribute act [String, nil] what to do; nil where it is what one does at any part of its kind; so are sign and
      #   tool
      # @!attribute minutes [Numeric] without what has to come off first
      # @!attribute needs [Array<String>] keys of openings, all of them, also those that come before others
      # @!attribute shows [Hash{String=>Float}] cause => how often its sign is seen when that is the cause
      # @!attribute false_alarm [Float] how often the sign of a proving check is seen without any of its causes
      # @!attribute codes [Hash{String=>String}] cause => how its sign is told from the others', where it has its own
      # @!attribute otherwise [Float] of a splitting check: how often its sign is seen with a cause that `shows` leaves
      #   out
      class Check
        include Value

        fields :key, :place, :name, :act, :sign, :minutes, :shows, needs: [].freeze, splits: false, false_alarm: 0.0,
          otherwise: 0.5, tool: nil, caution: nil, codes: {}.freeze

        # @param cause [String, nil] nil when it is none of the causes
        # @return [Float] how likely the sign is then
        def likelihood(cause)
          return shows.fetch(cause, otherwise) if splits

          seen = shows.fetch(cause, 0.0)
          seen + ((1 - seen) * false_alarm)
        end

        # @return [Boolean] whether it is more than a look at a place: the settings, the lights, or a try
        def tried?
          place.nil? || key != place
        end

        # @return [Boolean] whether seeing its sign ends the search
        def proves?
          !splits && false_alarm.zero?
        end

        private

        def check
          raise ArgumentError, "#{key}: minutes above 0" unless minutes.positive?
          return if [*shows.values, false_alarm, otherwise].all? { |share| share.between?(0, 1) }

          raise ArgumentError, "#{key}: shares are from 0 to 1"
        end
      end
    end
  end
end
