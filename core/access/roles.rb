# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # What somebody who works here may be.
      module Roles
        # role => what it may
        WORDS = {
          "technician" => "takes in, works at the bench, changes sheets and parts",
          "counter" => "takes in, sells, takes bills back",
          "owner" => "everything",
          "look_only" => "changes nothing"
        }.freeze
      end
    end
  end
end
