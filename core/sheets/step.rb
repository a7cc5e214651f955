# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A step of opening a machine: what comes off, and what can be reached then.
      #
      # @!attribute opens [Array<String>] places that can be worked at once it is done; where several steps open a
      #   place, one of them is enough
      # @!attribute takes_off [Array<String>] places whose part comes off in this step
      # @!attribute after [Array<String>] steps that are done before it, all of them
      # @!attribute refit_before [Array<String>] steps that it is undone before, where the way in does not say so
      # @!attribute may_lift [Array<String>] gaskets and small parts that may fall out or lift, in words
      # @!attribute connectors [Array<String>] plugs that come apart, in words
      # @!attribute safe [String, nil] in which state it leaves the machine safe
      # @!attribute orientation [String, nil] how it goes back: which side first, where an arrow points
      # @!attribute tight [String, nil] how tight it is when it is right
      # @!attribute never [String, nil] force that must not be used
      # @!attribute outline [String] of OUTLINES: the shape that its fasteners are drawn on
      # @!attribute beyond_handbook [Boolean] the owner's handbook leaves it shut: it may end the maker's warranty
      class Step
        include Value

        OUTLINES = Strip::Picture::SIZES.keys.freeze
        HAND = 1.0 # minute to lift something off
        FASTENER = 0.5 # minute for each screw or clip (both common practice, from memory)

        fields :key, :name, opens: [], takes_off: [], after: [], refit_before: [], fasteners: [], may_lift: [],
          connectors: [], safe: nil, orientation: nil, tight: nil, never: nil, minutes: nil, tool: nil, caution: nil,
          beyond_handbook: false, outline: OUTLINES.first

        # @return [Numeric] hands-on minutes to open it
        def minutes_to_open
          minutes || (HAND + (FASTENER * fasteners.sum(&:count)))
        end

        # @return [Array<Fastener>] what lies on the tray meanwhile
        def loose
          fasteners.select(&:loose?)
        end

        # @return [Boolean] something could be lost or left out: it is counted out and in
        def counted?
          loose.any? || may_lift.any? || connectors.any?
        end

        # @return [Array<String>] tools to put back on their hooks
        def tools
          [*fasteners.filter_map(&:driver), tool].compact.uniq
        end

        private

        def check
          raise ArgumentError, "an outline is #{OUTLINES.join(', ')}" unless OUTLINES.include?(outline)
          raise ArgumentError, "minutes must be positive" unless minutes.nil? || minutes.positive?
        end
      end
    end
  end
end
