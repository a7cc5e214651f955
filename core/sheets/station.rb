# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # One stop on the air path, from the floor to the exhaust.
      class Station
        include Value

        fields :key, :name
      end
    end
  end
end
