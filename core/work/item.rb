# frozen_string_literal: true

module UprightBench
  module Core
    module Work
      # One thing to do in a job: the action at a position, its minutes of hands-on time, and why.
      class Item
        include Value

        fields :position, :action, :minutes, :reason
      end
    end
  end
end
