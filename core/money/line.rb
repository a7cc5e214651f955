# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # One line of an estimate: bench time or a part. `key` names the part and where it goes, so that two
      # estimates can be compared; `off_cents` is taken off it; `covered` is what the maker pays.
      class Line
        include Value

        fields :kind, :words, :net_cents, off_cents: 0, key: nil, note: nil, covered: false

        KINDS = %i[labour part].freeze

        # @return [Integer] what the customer pays, without tax
        def charged_cents
          covered ? 0 : net_cents - off_cents
        end

        private

        def check
          raise ArgumentError, "a line is labour or a part" unless KINDS.include?(kind)
          unless net_cents.is_a?(Integer) && !net_cents.negative?
            raise ArgumentError, "cents are whole and not negative"
          end
          return if off_cents.is_a?(Integer) && off_cents.between?(0, net_cents)

          raise ArgumentError, "no more is taken off than it costs"
        end
      end
    end
  end
end
