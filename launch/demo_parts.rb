# frozen_string_literal: true

require_relative "demo_gauge"
require_relative "shell"

module UprightBench
  module Launch
    # Starts the demo's simulated devices, and the process that loads the rest of its past jobs.
    module DemoParts
      # The demo can be loaded again: a power cut may take its last half second.
      UNHURRIED = { "PGOPTIONS" => "-c synchronous_commit=off" }.freeze

      module_function

      # @param children [Children]
      # @param root [String] of the application
      # @param folder [String] STATE_DIR
      # @param port [String] of the web process
      # @param env [Hash{String=>String, nil}]
      # @param owner [Hash{String=>String, nil}] the same, with the role that owns the tables
      def start_rest(children, root:, folder:, port:, env:, owner:)
        DemoGauge.start(children, root: root, folder: folder, port: port, env: env)
        return unless File.exist?(File.join(folder, "loading.json"))

        Shell.say "Older past jobs are still being loaded, which takes about a minute."
        children.start("demo", { **owner, **UNHURRIED }, "bundle", "exec", "rake", "demo:go_on", once: true)
      end
    end
  end
end
