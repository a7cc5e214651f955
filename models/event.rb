# frozen_string_literal: true

module UprightBench
  module Models
    # History: who did what, when. Never rewritten.
    class Event < Sequel::Model(:events)
      many_to_one :person
    end
  end
end
