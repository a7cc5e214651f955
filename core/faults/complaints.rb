# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # The complaints with which customers bring a machine. Each fault says which complaints it explains, and how
      # often: a weight beside the weights of the other faults. Which is likelier is common practice, the numbers are
      # ours. A machine that lacks the part lacks the fault; a part that is there several times shares its weight.
      module Complaints
        # @!attribute key [Symbol]
        # @!attribute words [String] as it is said at the counter
        # @!attribute said [Array<String>] what else is written for it
        # @!attribute power [Symbol, nil] of the machines that can have it; nil for all
        # @!attribute running [Boolean] whether it has to do with how the machine runs: only then may its lights tell of
        #   it
        # @!attribute may_be [Hash{Symbol=>Float}] other complaints that are behind it, which nobody noticed: how often
        Complaint = Struct.new(:key, :words, :said, :power, :running, :may_be, keyword_init: true) do
          # @return [Array<Possible::Row>] what may be behind it
          def rows
            Possible::BEHIND.fetch(key)
          end

          # @param sheet [Sheets::Sheet]
          # @return [Boolean] whether such a machine can have it
          def possible?(sheet)
            power.nil? || power == sheet.power
          end

          # @param text [String] in small letters
          # @return [Array<String>] its phrases that stand there
          def phrases_in(text)
            [words, *said].select { |phrase| text.match?(/(?<!\p{L})#{Regexp.escape(phrase)}(?!\p{L})/) }
          end
        end

        def self.complaint(key, words, said: [], power: nil, running: true, may_be: {})
          Complaint.new(key: key, words: words, said: said, power: power, running: running, may_be: may_be).freeze
        end
        private_class_method :complaint

        ALL = [
          complaint(:pulses, "pulses", said: ["pulsing", "surges", "cuts in and out"]),
          # A customer who cleans only floors notices it there: one such machine in ten is weak everywhere (house rule).
          complaint(:weak_on_the_floor, "weak on the floor", said: ["leaves dirt", "does not pick up"],
            may_be: { weak_everywhere: 0.1 }),
          complaint(:weak_everywhere, "weak everywhere",
            said: ["weak suction", "low suction", "loses suction", "weak"]),
          complaint(:no_suction, "no suction", said: ["does not suck"]),
          complaint(:brush_does_not_turn, "brush does not turn",
            said: ["brush does not spin", "roller does not turn", "roll does not turn"]),
          complaint(:hard_to_push, "hard to push", said: ["hard to move"]),
          complaint(:dirt_comes_back_out, "dirt comes back out", said: ["dirt falls back out", "dirt falls out"]),
          complaint(:smells, "smells", said: %w[smell smelly stinks]),
          complaint(:dust_in_the_exhaust_air, "dust in the exhaust air", said: ["dust comes out", "blows dust"],
            running: false),
          complaint(:short_run_time, "short run time", said: ["runs short", "battery does not last"], power: :battery),
          complaint(:lid_or_bin_stiff, "lid or bin stiff", running: false,
            said: ["stiff lid", "stiff bin", "lid is stiff", "bin is stiff"]),
          complaint(:noise, "noise", said: %w[noisy loud whistles rattles])
        ].freeze
        BY_KEY = ALL.to_h { |complaint| [complaint.key, complaint] }.freeze
        # Of a hundred, what is nowhere in the table.
        NONE_OF_THESE = 5

        module_function

        # @param key [Symbol, String]
        # @return [Complaint]
        # @raise [KeyError]
        def fetch(key)
          BY_KEY.fetch(key.to_sym)
        end

        # @param text [String] as it was written at take-in
        # @return [Array<Complaint>] those that it names; "weak on the floor" does not also say "weak"
        def in_text(text)
          found = ALL.to_h { |complaint| [complaint, complaint.phrases_in(text.to_s.downcase)] }
          all = found.values.flatten
          found.select do |_, phrases|
            phrases.any? do |one|
              all.none? do |other|
                other != one && other.include?(one)
              end
            end
          end.keys
        end

        SERVICE = /(?<!\p{L})(service|check-?up|inspection)(?!\p{L})/
        private_constant :SERVICE

        # @param text [String] as it was written at take-in
        # @return [Boolean] whether it came for its service, with nothing to complain of
        def service?(text)
          text.to_s.downcase.match?(SERVICE) && in_text(text).empty?
        end

        # @param sheet [Sheets::Sheet]
        # @return [Array<Complaint>] those that such a machine can have
        def of(sheet)
          ALL.select { |complaint| complaint.possible?(sheet) }
        end
      end
    end
  end
end
