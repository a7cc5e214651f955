# frozen_string_literal: true

require "zlib"

module UprightBench
  module Core
    module Clocks
      # One clock of a task: what is counted and how much of it is allowed. Everything that is true of one kind of
      # clock and not of the others stands in its class: Hours, Months, Count, Indicator.
      class Clock
        include Value

        fields :limit

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

        # @!attribute words
        #   @return [String] as in "50 h of use", "12 months", "4 bags"
        # @!attribute mark
        #   @return [Integer] of its words, the same in every process
        attr_reader :words, :mark

        def kind
          self.class.kind
        end

        # The household shortens washing, cleaning and what fills with dust; never a maker's fixed months.
        # @param task [Task] whose clock it is
        def shortened_by_household?(task)
          task.disposable || %i[wash clean].include?(task.action)
        end

        # What was found before moves what goes by use or dust; again, never a maker's fixed months.
        def follows_findings?(task)
          shortened_by_household?(task)
        end

        # @return [String, nil] how far it has run, behind its start
        def progress_words(_progress, _conditions); end

        # @return [Integer] of what `progress_words` is made of
        def progress_figure(_progress, _conditions)
          0
        end

        # @!method runs_out(run, factor)
        #   @param run [Run]
        #   @param factor [Float] on the interval
        #   @return [Array(Date, Date, Date), nil] the day, how early and how late; nil when it never does

        private

        def check
          raise ArgumentError, "a clock's limit must be positive" unless limit.is_a?(Numeric) && limit.positive?

          check_kind
          @words = said
          @mark = Zlib.crc32(@words)
        end

        def check_kind; end
      end
    end
  end
end
