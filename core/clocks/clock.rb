# frozen_string_literal: true

require "zlib"

module UprightBench
  module Core
    module Clocks
      # One clock of a task: what is counted and how much of it is allowed.
      #
      # kind      | limit          | consumed by
      # :hours    | run hours      | use since the start
      # :months   | months         | the calendar since the start
      # :count    | events (`of`)  | events since the start, one for every `each_hours` of use or `each_months`
      # :indicator| 100 (percent)  | the strip or grey reference, extrapolated linearly
      class Clock
        include Value

        fields :kind, :limit, of: nil, each_hours: nil, each_months: nil

        KINDS = %i[hours months count indicator].freeze
        COUNTED = { "bags" => "bag", "washes" => "wash" }.freeze # many and one

        # @!attribute words
        #   @return [String] as in "50 h of use", "12 months", "4 bags"
        # @!attribute mark
        #   @return [Integer] of its words, the same in every process
        attr_reader :words, :mark

        private

        def said
          case kind
          when :hours then "#{limit} h of use"
          when :months then limit == 1 ? "1 month" : "#{limit} months"
          when :count then "#{limit} #{limit == 1 ? COUNTED.fetch(of) : of}"
          when :indicator then "the indicator full"
          end
        end

        def check
          raise ArgumentError, "unknown clock #{kind}" unless KINDS.include?(kind)
          raise ArgumentError, "a clock's limit must be positive" unless limit.is_a?(Numeric) && limit.positive?
          raise ArgumentError, "months come whole" if kind == :months && !limit.is_a?(Integer)
          raise ArgumentError, "an indicator counts percent" if kind == :indicator && limit > 100

          check_count if kind == :count
          @words = said
          @mark = Zlib.crc32(@words)
        end

        def check_count
          raise ArgumentError, "a count says what it counts: #{COUNTED.keys.join(' or ')}" unless COUNTED.key?(of)
          raise ArgumentError, "a count needs each_hours or each_months" unless each_hours || each_months
        end
      end
    end
  end
end
