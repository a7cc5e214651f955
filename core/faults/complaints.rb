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
        Complaint = Struct.new(:key, :words) do
          # @return [Array<Possible::Row>] what may be behind it
          def rows
            Possible::BEHIND.fetch(key)
          end
        end

        ALL = {
          pulses: "pulses",
          weak_on_the_floor: "weak on the floor",
          weak_everywhere: "weak everywhere",
          no_suction: "no suction",
          brush_does_not_turn: "brush does not turn",
          hard_to_push: "hard to push",
          dirt_comes_back_out: "dirt comes back out",
          smells: "smells",
          dust_in_the_exhaust_air: "dust in the exhaust air",
          short_run_time: "short run time",
          lid_or_bin_stiff: "lid or bin stiff",
          noise: "noise"
        }.map { |key, words| Complaint.new(key, words).freeze }.freeze
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
        # @return [Array<Complaint>] those that it names
        def in_text(text)
          ALL.select { |complaint| text.to_s.downcase.match?(/(?<!\p{L})#{Regexp.escape(complaint.words)}(?!\p{L})/) }
        end
      end
    end
  end
end
