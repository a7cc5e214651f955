# frozen_string_literal: true

module UprightBench
  module Core
    module Jobs
      # The states of a job in their order, and from which each may be entered.
      module States
        ENTERED_FROM = {
          looked_over: %i[taken_in],
          settled: %i[looked_over],
          in_work: %i[settled waiting],
          waiting: %i[in_work],
          closed_up: %i[settled in_work waiting],
          handed_over: %i[closed_up declined referred],
          declined: %i[taken_in looked_over settled],
          referred: %i[taken_in looked_over settled in_work waiting]
        }.freeze
        ALL = [:taken_in, *ENTERED_FROM.keys].freeze
        OPEN = (ALL - %i[handed_over]).freeze
        WORDS = ALL.to_h { |state| [state, state.to_s.tr("_", " ")] }.freeze

        # The one next action a screen offers.
        NEXT = {
          taken_in: "Look over", looked_over: "Settle", settled: "Start work", in_work: "Go on", waiting: "See the rack",
          closed_up: "Hand over", declined: "Hand back", referred: "Hand back", handed_over: "Done"
        }.freeze

        # @return [Boolean]
        def self.may?(from, to)
          ENTERED_FROM.fetch(to).include?(from)
        end
      end
    end
  end
end
