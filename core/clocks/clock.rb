# frozen_string_literal: true

require "zlib"

module UprightBench
  module Core
    module Clocks
      # One clock of a task: what is counted and how much of it is allowed. Everything that is true of one kind of
      # clock and not of the others stands in its class (Kinds).
      class Clock
        include Value

        # @!attribute goes_by [Symbol] :fixed, the maker's or hygiene's limit, which comes whatever is seen; or
        #   :condition, wear and dirt, of which a look-over is evidence
        fields :limit, goes_by: :condition

        GOES_BY = %i[fixed condition].freeze

        # @param kind [Symbol, String] one of Kinds::BY_KEY
        # @return [Clock]
        # @raise [ArgumentError] for an unknown kind, or fields that it does not have
        def self.of(kind:, **fields)
          Kinds::BY_KEY.fetch(kind.to_sym) { raise ArgumentError, "unknown clock #{kind}" }.new(**fields)
        end

        # @return [Symbol] as the database and the sheets name it
        def self.kind
          @kind ||= name.split("::").last.downcase.to_sym
        end

        # @!attribute mark
        #   @return [Integer] of its kind and limit, the same in every process
        attr_reader :mark

        def kind
          self.class.kind
        end

        # @return [Boolean] whether what is found moves its date
        def condition?
          goes_by == :condition
        end

        # The household shortens washing, cleaning and what fills with dust; never a maker's fixed months.
        # @param task [Task] whose clock it is
        def shortened_by_household?(task)
          task.disposable || %i[wash clean].include?(task.action)
        end

        # @param task [Task] whose clock it is
        # @return [Conditions::Shortening]
        def shortening(task, conditions)
          return Conditions::NONE unless shortened_by_household?(task)

          by_use? ? conditions.of_use : conditions.of_the_calendar
        end

        # @return [Boolean] whether it counts hours of use
        def by_use?
          false
        end

        # What was found before moves what goes by use or dust; again, never a maker's fixed months.
        def follows_findings?(task)
          shortened_by_household?(task)
        end

        # @!method runs_out(run, factor)
        #   @param run [Run]
        #   @param factor [Float] on the interval
        #   @return [Array(Date, Date, Date), nil] the day, how early and how late; nil when it never does

        # @!method reason_key
        #   @return [Symbol] of the reason that it gives for a date
        # @!method limits
        #   @return [Hash{Symbol=>Numeric}] of that reason: what is allowed
        # @!method progress_figures(progress, conditions)
        #   @return [Hash{Symbol=>Object}] of that reason: how far it has run

        # @return [Reason] what it allows, as in "50 h of use"
        def interval
          Reason.of(reason_key, **limits)
        end

        # @return [Integer] of how far it has run, so that it is another one when a figure of that is
        def progress_mark(_progress, _conditions)
          0
        end

        private

        def check
          raise ArgumentError, "a clock's limit must be positive" unless limit.is_a?(Numeric) && limit.positive?

          raise ArgumentError, "a clock goes by #{GOES_BY.join(' or ')}" unless GOES_BY.include?(goes_by)

          check_kind
          @mark = Zlib.crc32("#{reason_key} #{limit}")
        end

        def check_kind; end
      end
    end
  end
end
