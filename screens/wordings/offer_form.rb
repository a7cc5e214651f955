# frozen_string_literal: true

module UprightBench
  module Screens
    module Wordings
      # Free bench time that cards offer: how much, from when to when, and on which cards.
      class OfferForm < Form
        CHANNELS = Core::Cards::Channels::ORDER.map(&:to_s).freeze

        takes do
          params do
            required(:minutes).filled(:integer, gteq?: 1, lteq?: 240)
            required(:starts_on).filled(:date)
            required(:ends_on).filled(:date)
            optional(:channel).maybe(:string, included_in?: CHANNELS)
            optional(:first_only).maybe(:bool)
            optional(:fleets).maybe(:bool)
          end

          rule(:starts_on, :ends_on) do
            key(:ends_on).failure("is before it starts") if values[:ends_on] < values[:starts_on]
          end
        end

        # @return [Hash] columns
        def fields
          { **values.slice(:minutes, :starts_on, :ends_on, :channel),
            first_only: values[:first_only] || false, fleets: values[:fleets] || false }
        end
      end
    end
  end
end
