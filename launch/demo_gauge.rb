# frozen_string_literal: true

module UprightBench
  module Launch
    # The demo's devices that are not there, gauge, thermometer and scale, and the readers that hand on what they show.
    module DemoGauge
      DEVICES = %w[gauge room scale].freeze

      module_function

      # @param children [Children]
      # @param root [String] of the application
      # @param folder [String] where the demo's data is
      # @param port [String] of the web process
      # @param env [Hash{String=>String, nil}]
      def start(children, root:, folder:, port:, env:)
        program = File.join(root, "bin/gauge")
        DEVICES.each do |name|
          pty, token = [name, "#{name}.token"].map { |file| File.join(folder, file) }
          next unless File.exist?(token)

          # A link of the last run may lead to another device's terminal by now: the reader waits for its own.
          File.delete(pty) if File.symlink?(pty)
          children.start(name, env, program, "simulate", "--pty", pty, *how(name, root))
          children.start("#{name}'s reader", env, program, "read", "--from", pty, "--to", "http://127.0.0.1:#{port}",
            "--token-file", token, *("--tell" if name == "gauge"))
        end
      end

      def how(name, root)
        return ["--#{name}"] unless name == "gauge"

        Dir[File.join(root, "demo/sheets/*.json")].flat_map { |file| ["--sheet", file] }
      end
      private_class_method :how
    end
  end
end
