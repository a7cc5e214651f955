# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # An open due as the cards see it: whose it is, when, and what keeps it off a card. `action` as in Clocks::Task;
      # `attempts` counts the cards already sent in this cycle, the last of them on `carded_on`; `here_on` is the day on
      # which a machine of theirs was handed over last.
      class DueTask
        include Value

        fields :id, :customer_id, :due_on,
          action: :replace, attempts: 0, carded_on: nil, snoozed_until: nil, on_bench: false,
          machine_state: :in_use, may_card: true, here_on: nil

        # @return [Hold, nil] why it is not on a card today; nil when it may be
        def held_back(policy, today)
          HOLDS.each { |hold| send(hold, policy, today)&.then { |found| return found } }
          nil
        end

        def replaces?
          action == :replace
        end

        private

        HOLDS = %i[not_carded on_the_bench gone snoozed just_here recently_carded often_enough].freeze
        private_constant :HOLDS

        def not_carded(_policy, _today)
          Hold.new(kind: :not_carded) unless may_card
        end

        def on_the_bench(_policy, _today)
          Hold.new(kind: :on_the_bench) if on_bench
        end

        def gone(_policy, _today)
          Hold.new(kind: machine_state) if %i[sold scrapped].include?(machine_state)
        end

        def snoozed(_policy, today)
          Hold.new(kind: :snoozed, about: snoozed_until) if snoozed_until && snoozed_until > today
        end

        # Who asked to be written to again is, whenever they were here.
        def just_here(policy, today)
          return unless here_on && snoozed_until.nil? && today - here_on < policy.quiet_days

          Hold.new(kind: :just_here, about: here_on)
        end

        def recently_carded(policy, today)
          return unless carded_on && today - carded_on < policy.follow_up_gap_days

          Hold.new(kind: :recently_carded, about: carded_on)
        end

        # Until they are written to anew, the next time round or because somebody chose so.
        def often_enough(policy, today)
          return unless attempts > policy.most_follow_ups
          return if carded_on && (today - carded_on >= policy.write_again_days || asked_since?)

          Hold.new(kind: :often_enough, about: attempts)
        end

        def asked_since?
          !snoozed_until.nil? && snoozed_until > carded_on
        end
      end
    end
  end
end
