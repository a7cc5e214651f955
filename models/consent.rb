# frozen_string_literal: true

module UprightBench
  module Models
    # That a customer agreed to be written to on a channel, or no longer does: when and how it was said. Never
    # rewritten.
    class Consent < Sequel::Model(:consents)
      many_to_one :writer, class: "UprightBench::Models::Person", key: :written_by
    end
  end
end
