# frozen_string_literal: true

module UprightBench
  module Models
    # One count of the drawer. Never changed.
    class DrawerCount < Sequel::Model(:drawer_counts)
      many_to_one :counter, class: "UprightBench::Models::Person", key: :counted_by
    end
  end
end
