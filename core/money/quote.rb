# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # The lines of a job from its work: bench time for all of it together, and a line for each part.
      #
      #   Quote.new(work: [Quote::Work.new(position: "bag", ...)], policy:).call  # => Estimate
      class Quote
        # One thing to do. `covered` when the maker pays for it.
        Work = Struct.new(:position, :place, :action, :minutes, :part_id, :part_name, :part_cents, :covered, keyword_init: true) do
          # @return [String] of its part's line
          def key
            "#{position}/#{part_id}"
          end
        end

        def initialize(work:, policy:)
          @work = work
          @policy = policy
        end

        # @return [Estimate]
        def call
          Estimate.new(lines: [*labour, *@work.map { |work| part(work) }.compact], policy: @policy)
        end

        private

        # What the maker pays is no bench time of the customer's; one line says how the minutes came about.
        def labour
          paid = @work.reject(&:covered)
          minutes = paid.sum(&:minutes)
          return [] unless minutes.positive?

          charged = @policy.charged_minutes(minutes)
          [Line.new(kind: :labour, words: "Bench time, #{charged} min", net_cents: @policy.labour_cents(charged),
                    note: "#{minutes} min of work (#{paid.map { |work| "#{work.action} #{work.place}" }.join(', ')}), in steps of #{@policy.step_minutes}")]
        end

        def part(work)
          return unless work.part_id

          Line.new(kind: :part, words: work.part_name, net_cents: work.part_cents, key: work.key, covered: work.covered,
                   note: work.covered ? "#{work.place}: covered by the maker's warranty" : work.place)
        end
      end
    end
  end
end
