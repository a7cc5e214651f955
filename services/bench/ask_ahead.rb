# frozen_string_literal: true

module UprightBench
  module Services
    # When would a machine be ready that is not here yet? The plan tries it: from when it is brought, looked over first,
    # then what is asked for. Nothing is kept free for it.
    class AskAhead
      NUMBER = 0 # no job has it
      MOST_AHEAD_DAYS = 120

      # What is to be done where no model is known.
      # @!attribute minutes [Integer]
      # @!attribute drying_hours [Numeric] 0 for nothing that dries
      Rough = Struct.new(:minutes, :drying_hours, keyword_init: true)

      # @param at [Time]
      def initialize(at:, policies: Policies.now)
        @at = at
        @policies = policies
      end

      # @param sheet [Core::Sheets::Sheet]
      # @param work [Array<Array(String, String)>] position and action of each thing to do
      # @param machine [Models::Machine, nil] where it is known which
      # @param brought_at [Time]
      # @return [AskPromise::Answer]
      # @raise [Refused] when it is brought too far ahead, or nobody could ever do it
      def of_model(sheet, work, brought_at:, machine: nil)
        fits = FitFor.new(sheet, machine, today: Config::Zone.date(@at), policies: @policies)
          .call(work.select { |_, action| action == "replace" }.map(&:first))
        ask(work.map { |key, action| ask_of(sheet, key, action, fits[key]) }, brought_at)
      end

      # @param rough [Rough]
      # @return [AskPromise::Answer]
      # @raise [Refused] likewise
      def roughly(rough, brought_at:)
        ask([Promises::Ask.new(rough.minutes, rough.drying_hours, 0, "clean")], brought_at)
      end

      private

      # With one that lies on the shelf, else the one that is proposed first; where none is known to fit, one has to be
      # found and ordered.
      def ask_of(sheet, key, action, fit)
        parts = fit ? fit.candidates.map(&:part) : []
        asked = Promises.ask(sheet, sheet.position(key), action, parts.find(&:on_shelf?) || parts.first,
          policies: @policies)
        asked.lead_days = Promises::DAYS_UNKNOWN if action == "replace" && parts.empty?
        asked
      end

      def ask(asks, brought_at)
        if brought_at > @at + (MOST_AHEAD_DAYS * 86_400)
          raise Refused, "No time can be promised for what is brought in more than #{MOST_AHEAD_DAYS} days."
        end

        AskPromise.new(NUMBER, at: @at, policies: @policies)
          .call(asks, brought_at: [brought_at, @at].max)
      end
    end
  end
end
