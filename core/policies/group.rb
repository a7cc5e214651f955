# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # Shop rules that belong together on the settings page.
      class Group
        include Value

        fields :key, :heading, :sentence
      end
    end
  end
end
