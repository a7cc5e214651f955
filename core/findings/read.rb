# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What does a finding mean? Picks the reader for the kind of part and asks it.
      #
      #   Read.new(position:, observed: { grey: 5 }, background: Background.new).call  # => Verdict, or nil
      #
      # nil means that not enough was recorded to say anything.
      class Read
        # Whatever becomes of the part: its seat is checked, and what does not belong there is taken out.
        WORK_OF_ITS_OWN = %i[loose foreign].freeze

        # @param position [Sheets::Position]
        # @param observed [Hash{Symbol=>Object}] fields of its Kind; what was not looked at is absent
        # @param background [Background]
        def initialize(position:, observed:, background: Background.new)
          @position = position
          @observed = observed.compact
          @background = background
        end

        # @return [Verdict, nil]
        # @raise [ArgumentError] when a field does not belong to the kind of part, or a number cannot be
        def call
          fields = @position.kind_of_part.fields
          unknown = @observed.keys - fields.keys
          raise ArgumentError, "#{@position.kind} has no #{unknown.join(', ')}" if unknown.any?

          @observed.each { |name, value| fields.fetch(name).check_value(value) }
          return if @observed.reject { |_, value| value == false }.empty?

          strongest(all)
        end

        private

        def all
          reader = @position.kind_of_part.read_by.new(@position, @observed, @background)
          [reader.verdict, *reader.beside, *ReadAnywhere.new(@position, @observed, @background).verdicts].compact
        end

        # Of all that speaks the strongest decides: who fits a new part need not clean the old one. What is work of its
        # own is done besides.
        def strongest(verdicts)
          first = verdicts.max_by.with_index { |verdict, index| [verdict.stop ? 1 : 0, rank(verdict), -index] }
          besides = (verdicts - [first]).select { |verdict| WORK_OF_ITS_OWN.include?(verdict.clause) }
          return first if first.nil? || first.stop || besides.empty?

          first.with(also: besides.map(&:kind), reason: together([first, *besides]))
        end

        def rank(verdict)
          VerdictKind::KEYS.index(verdict.kind)
        end

        def together(verdicts)
          Reason.of(:several_found, **%i[first second third].zip(verdicts.map(&:reason)).to_h)
        end
      end
    end
  end
end
