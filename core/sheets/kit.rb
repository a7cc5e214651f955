# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A box of parts as it is sold for the model: how many of what, by position.
      class Kit
        include Value

        fields :name, :contains
      end
    end
  end
end
