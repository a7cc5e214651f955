# frozen_string_literal: true

require "net/http"
require_relative "../launch/shell"

module UprightBench
  module Measure
    # Starts a web process and a worker, asks the web process for some pages, and reads what both hold in memory.
    class Weight
      REQUESTS = 300

      def initialize(out: $stdout)
        @out = out
      end

      def call
        port = Launch::Shell.free_port
        pids = { web: start(port, "bundle", "exec", "puma", "-C", "config/puma.rb"), worker: start(port, "bin/worker") }
        wait_for(port)
        REQUESTS.times { Net::HTTP.get_response("127.0.0.1", "/login", port) }
        weights = pids.transform_values { |pid| resident_mb(pid) }
        @out.puts format("resident memory: web %<web>.0f MB, worker %<worker>.0f MB, together %<sum>.0f MB", **weights,
          sum: weights.values.sum)
      ensure
        (pids || {}).each_value { |pid| Process.kill("TERM", pid) && Process.wait(pid) }
      end

      private

      def start(port, *command)
        Process.spawn({ "PORT" => port.to_s }, *command, chdir: Config::Settings::ROOT.to_s, out: File::NULL)
      end

      def wait_for(port)
        100.times do
          return if Net::HTTP.get_response("127.0.0.1", "/healthz", port).is_a?(Net::HTTPSuccess)
        rescue SystemCallError
          sleep 0.2
        end
        raise "the web process did not come up"
      end

      def resident_mb(pid)
        File.read("/proc/#{pid}/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024.0
      end
    end
  end
end
