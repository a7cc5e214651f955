# frozen_string_literal: true

module UprightBench
  module Screens
    module Plan
      # What somebody wants of a step: who does it, not before when, and whether it stays there.
      class WishForm < Form
        takes do
          params do
            optional(:person_id).maybe(:integer, gt?: 0, lt?: Services::Lookup::BIGGEST_ID)
            optional(:not_before).maybe(:string, format?: Moments::TYPED)
            optional(:pinned).maybe(:string)
          end

          rule(:not_before) { key.failure("is no such day") if value && !Moments.read(value) }
          rule(:not_before, :pinned) do
            key.failure("is needed for what is to stay there") if values[:pinned] && values[:not_before].nil?
          end
        end

        # @return [Boolean] whether anything is wanted
        def asked?
          !(values[:person_id].nil? && values[:not_before].nil?)
        end

        # @return [Hash, nil] as Services::MoveStep takes it; nil for nothing
        def wish
          return unless ok? && asked?

          { person_id: values[:person_id], not_before: Moments.read(values[:not_before]),
            pinned: value(:pinned) == "1" }
        end
      end
    end
  end
end
