# frozen_string_literal: true

module UprightBench
  module Demo
    # The gauge that ships, held to whatever machine is looked at; its reader finds the token beside the data.
    module BenchGauge
      FIELDS = { name: "Bench gauge", pattern: "{value} {unit}", unit: nil, error_percent: 2.0 }.freeze

      module_function

      # @param by [Models::Person]
      # @param at [Time]
      def add(by, at)
        _, token = Services::KeepGauge.add(FIELDS, by: by, at: at)
        SETTINGS.state_dir.mkpath
        SETTINGS.state_dir.join("gauge.token").write(token, perm: 0o600)
      end
    end
  end
end
