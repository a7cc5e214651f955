# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # The lines of a job from its work: bench time for all of it together, and a line for each part.
      #
      #   Quote.new(work: [Quote::Work.new(position: "bag", ...)], policy:).call  # => Estimate
      class Quote
        # One thing to do. `covered` when the maker pays for it; `own` says where a part comes from that is
        # not paid again (a box that was opened for another place).
        Work = Struct.new(:position, :place, :action, :minutes, :part_id, :part_name, :part_cents, :tax_class, :covered,
          :own, keyword_init: true) do
          # @return [String] of its part's line
          def key
            "#{position}/#{part_id}"
          end
        end

        # @param free_minutes [Integer] of bench time, earned
        # @param free_words [String, nil] how they were earned
        # @param look_cents [Integer] agreed at intake for looking, where nothing is done
        # @param off_percent [Numeric] taken off every line
        # @param off_words [String, nil] why
        def initialize(work:, policy:, free_minutes: 0, free_words: nil, off_percent: 0, off_words: nil,
          look_cents: 0)
          @work = work
          @policy = policy
          @free_minutes = free_minutes
          @free_words = free_words
          @off_percent = off_percent
          @off_words = off_words
          @look_cents = look_cents
        end

        # @return [Estimate]
        def call
          Estimate.new(lines: [*look, *labour, *@work.map { |work| part(work) }.compact].map { |line| off(line) },
            policy: @policy)
        end

        private

        def look
          return [] unless @look_cents.positive?

          [Line.new(kind: :labour, words: "Looking it over, as agreed at intake", price_cents: @look_cents)]
        end

        # What the maker pays is no bench time of the customer's; one line says how the minutes came about.
        def labour
          paid = @work.reject(&:covered)
          minutes = paid.sum(&:minutes)
          return [] unless minutes.positive?

          charged = @policy.charged_minutes(minutes)
          free = [charged, @free_minutes].min
          [Line.new(kind: :labour, words: "Bench time, #{charged - free} min",
            price_cents: @policy.labour_cents(charged - free), note: labour_note(paid, minutes, free))]
        end

        def labour_note(paid, minutes, free)
          note = "#{minutes} min of work (#{paid.map { |work| "#{work.action} #{work.place}" }.join(', ')}), in " \
                 "steps of #{@policy.step_minutes}"
          free.positive? ? "#{note}; #{free} min free: #{@free_words}" : note
        end

        def part(work)
          return unless work.part_id

          Line.new(kind: :part, words: work.part_name, price_cents: work.own ? 0 : work.part_cents, key: work.key,
            tax_class: work.tax_class, covered: work.covered, note: part_note(work))
        end

        def part_note(work)
          return "#{work.place}: covered by the maker's warranty" if work.covered

          work.own ? "#{work.place}: #{work.own}" : work.place
        end

        # Each line bears its own share, so that what is taxed line by line is taxed on what it costs.
        def off(line)
          cents = Rounding.half_even(line.price_cents * Rational(@off_percent.to_s) / 100)
          return line if cents.zero? || line.covered

          off = "#{Rational(@off_percent.to_s).to_f.to_s.chomp('.0')} % off: #{@off_words}"
          line.with(off_cents: cents, note: [line.note, off].compact.join("; "))
        end
      end
    end
  end
end
