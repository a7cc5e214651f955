# frozen_string_literal: true

module UprightBench
  module Core
    module Jobs
      # The states of a job in their order, from which each may be entered, and the sets that decide what may be
      # done. Whoever asks what may be done asks for a set by its name; no other file lists states.
      module States
        ENTERED_FROM = {
          looked_over: %i[taken_in],
          settled: %i[looked_over],
          in_work: %i[settled waiting],
          waiting: %i[in_work],
          closed_up: %i[settled in_work waiting],
          handed_over: %i[closed_up declined referred],
          declined: %i[taken_in looked_over settled in_work waiting],
          referred: %i[taken_in looked_over settled in_work waiting]
        }.freeze
        ALL = [:taken_in, *ENTERED_FROM.keys].freeze
        WORDS = ALL.to_h { |state| [state, state.to_s.tr("_", " ")] }.freeze

        # Nothing but the look-over is left to do before the estimate.
        TO_LOOK_OVER = %i[taken_in].freeze
        # The estimate is being made; nothing is agreed.
        ESTIMATED = %i[looked_over].freeze
        # The customer agreed, and the work is not finished.
        AGREED = %i[settled in_work waiting].freeze
        # Under way: by hand, or while something dries.
        UNDER_WAY = %i[in_work waiting].freeze
        # Parts, prices and the estimate may still change.
        CHANGEABLE = (ESTIMATED + AGREED).freeze
        # Findings may be recorded.
        RECORDABLE = (TO_LOOK_OVER + CHANGEABLE).freeze
        # Nothing is left to do but to hand the machine back.
        TO_COLLECT = %i[closed_up declined referred].freeze
        # Ended without the work: the customer declined, or it went to the maker.
        ENDED_EARLY = %i[declined referred].freeze
        # Said too early, it may be taken back.
        TAKEN_BACK = (TO_COLLECT + %i[handed_over]).freeze
        # Nothing more happens to it.
        OVER = %i[handed_over].freeze
        # The machine is in the shop.
        IN_SHOP = (ALL - OVER).freeze

        SETS = { to_look_over: TO_LOOK_OVER, estimated: ESTIMATED, agreed: AGREED, under_way: UNDER_WAY,
                 changeable: CHANGEABLE, recordable: RECORDABLE, to_collect: TO_COLLECT, ended_early: ENDED_EARLY,
                 taken_back: TAKEN_BACK, over: OVER, in_shop: IN_SHOP }.freeze

        # What the button on the bench says.
        NEXT_ACTION = {
          taken_in: "Look over", looked_over: "Settle", settled: "Start work", in_work: "Continue",
          waiting: "See the rack",
          closed_up: "Hand over", declined: "Hand back", referred: "Hand back", handed_over: "Done"
        }.freeze

        # The steps of the job page, in order, and the states in which each is the one in hand.
        STEPS = { look_over: TO_LOOK_OVER, settle: ESTIMATED, work: AGREED, hand_over: TO_COLLECT, done: OVER }.freeze

        module_function

        # @return [Boolean] whether a job may go from one state to another
        def may_follow?(from, to)
          ENTERED_FROM.fetch(to.to_sym).include?(from.to_sym)
        end

        # @param set [Symbol] a key of SETS
        # @param state [Symbol, String]
        def in?(set, state)
          SETS.fetch(set).include?(state.to_sym)
        end

        # @param set [Symbol] a key of SETS
        # @return [Array<String>] as the database holds them
        def names(set)
          SETS.fetch(set).map(&:to_s)
        end

        # @return [Symbol] a key of STEPS
        def step(state)
          STEPS.find { |_, states| states.include?(state.to_sym) }.first
        end

        # @param step [Symbol] a key of STEPS
        # @return [Symbol] :past, :now or :later
        def phase(step, state)
          order = STEPS.keys
          { -1 => :past, 0 => :now, 1 => :later }.fetch(order.index(step) <=> order.index(step(state)))
        end
      end
    end
  end
end
