# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # What may be seen at any place, whatever part sits there: cracked, wet, a foreign thing, a smell, dirt, a note.
      # Each speaks for itself. (Common practice.)
      class ReadAnywhere < Reader
        CLAUSES = %i[cracked wet foreign smelling dirty noted].freeze

        # @return [Array<Verdict>]
        def verdicts
          CLAUSES.filter_map { |clause| send(clause) }
        end

        private

        # Fields that the part's own reader takes are left to it.
        def seen(name)
          @observed[name] if kind.anywhere.key?(name)
        end

        def cracked
          return unless seen(:cracked)
          return say(:refer, :cracked_stop, confidence: :high, stop: true) if kind.cracked == Kind::STOP

          return say(:refer, :motor_cracked, confidence: :high) if kind.cracked == :refer

          say(:replace, :cracked, confidence: :high)
        end

        def wet
          return unless seen(:wet)
          return say(:refer, :wet_stop, confidence: :high, stop: true) if kind.wet == Kind::STOP

          say(:clean, :wet, confidence: :high)
        end

        def foreign
          thing = seen(:foreign).to_s.strip
          say(:clean, :foreign, thing: thing, confidence: :high) unless thing.empty?
        end

        def smelling
          return unless seen(:smell)

          @position.washable? ? say(:wash, :smells_here_washable) : say(:clean, :smells_here)
        end

        def dirty
          return unless seen(:dirty)

          @position.washable? ? say(:wash, :dirty_here_washable) : say(:clean, :dirty_here)
        end

        # Nothing else may have been recorded.
        def noted
          note = seen(:note).to_s.strip
          say(:leave, :noted, note: note, confidence: :low) unless note.empty?
        end
      end
    end
  end
end
