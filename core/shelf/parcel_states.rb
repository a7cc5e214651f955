# frozen_string_literal: true

module UprightBench
  module Core
    module Shelf
      # What a parcel may be; the database knows the same.
      module ParcelStates
        # state => words
        WORDS = { "packed" => "packed", "sent" => "on its way", "fitted" => "fitted at home",
                  "came_back" => "came back" }.freeze
      end
    end
  end
end
