# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # One customer's card: which tasks go on it, by which channel, when it leaves, and what keeps it here.
      #
      # A card is for a customer, not for a filter: once the first task brings a card, every task due
      # within the bundling window after it travels along; of an overdue one the window counts from today.
      class Bundle
        attr_reader :customer_id

        # @param customer_id [Integer]
        # @param tasks [Array<DueTask>] all open ones of this customer
        # @param address [Address]
        # @param policy [Policy]
        # @param today [Date]
        # @param open_day [#call] a day => the day on which something really leaves; closed days send nothing
        def initialize(customer_id:, tasks:, address:, policy:, today:, open_day: ->(day) { day })
          @customer_id = customer_id
          @tasks = tasks
          @address = address
          @policy = policy
          @today = today
          @open_day = open_day
        end

        # @return [Symbol, nil]
        def channel
          @channel = @address.channel unless defined?(@channel)
          @channel
        end

        # @return [Array<DueTask>] what goes on the card, soonest first
        def lines
          @lines ||= if sendable.empty?
                       []
                     else
                       window_ends = [sendable.first.due_on, @today].max + @policy.bundle_days
                       sendable.take_while { |task| task.due_on <= window_ends }
                     end
        end

        # @return [Date, nil] the day the card leaves, never before today
        def leaves_on
          return if sendable.empty?

          @leaves_on ||= @open_day.call([sendable.first.due_on - @policy.lead_days(channel || :email), @today].max)
        end

        # @return [Integer] 1 for a first card, more for a follow-up
        def attempt
          lines.map(&:attempts).max + 1
        end

        # @param day [Date]
        def leaves_by?(day)
          obstacle.nil? && !leaves_on.nil? && leaves_on <= day
        end

        # @return [String, nil] why no card can go at all
        def obstacle
          @address.obstacle if channel.nil?
        end

        # @return [Hash{DueTask=>Hold}] what is left off, and why; soonest first
        def held_back
          holds.compact
        end

        private

        # By identity: to compare every field of many thousand tasks would take longer than all the rest.
        def holds
          @holds ||= @tasks.each_with_object({}.compare_by_identity) do |task, found|
            found[task] = task.held_back(@policy, @today)
          end
        end

        def sendable
          @sendable ||= holds.select { |_, reason| reason.nil? }.keys.sort_by(&:due_on)
        end
      end
    end
  end
end
