# frozen_string_literal: true

module UprightBench
  module Launch
    # The demo's gauge that is not there, and the reader that hands on what it shows.
    module DemoGauge
      module_function

      # @param children [Children]
      # @param root [String] of the application
      # @param folder [String] where the demo's data is
      # @param port [String] of the web process
      # @param env [Hash{String=>String, nil}]
      def start(children, root:, folder:, port:, env:)
        pty, token = %w[gauge gauge.token].map { |name| File.join(folder, name) }
        return unless File.exist?(token)

        program = File.join(root, "bin/gauge")
        sheets = Dir[File.join(root, "demo/sheets/*.json")].flat_map { |file| ["--sheet", file] }
        children.start("gauge", env, program, "simulate", "--pty", pty, *sheets)
        children.start("gauge's reader", env, program, "read", "--from", pty, "--to", "http://127.0.0.1:#{port}",
          "--token-file", token, "--tell")
      end
    end
  end
end
