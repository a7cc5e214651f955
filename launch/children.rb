# frozen_string_literal: true

require "net/http"
require_relative "shell"

module UprightBench
  module Launch
    # The processes of the application: started together, watched, and ended together.
    class Children
      UP_WITHIN_SECONDS = 60
      DOWN_WITHIN_SECONDS = 8

      # @param root [String] where they run
      # @param port [String] on which the web process answers
      def initialize(root, port:)
        @root = root
        @port = port
        @pids = {}
      end

      # In a group of its own, so that Ctrl-C reaches it through us and once.
      # @param env [Hash{String=>String, nil}]
      def start(name, env, *command)
        @pids[name] = Process.spawn(env, *command, chdir: @root, pgroup: true)
      end

      # The worker too: what is sent in the first second leaves.
      # @raise [Failure]
      def wait_until_ready
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        until ready?
          raise Failure, "the web or the worker process ended; its words are above" if ended
          if Process.clock_gettime(Process::CLOCK_MONOTONIC) - started > UP_WITHIN_SECONDS
            raise Failure, "not ready: see /readyz"
          end

          sleep 0.2
        end
      end

      # Until one of them ends.
      # @raise [Failure]
      # @raise [Interrupt] when it is told to stop
      def watch
        Signal.trap("TERM") { raise Interrupt }
        sleep 0.5 until (pid = ended)
        name = @pids.key(pid)
        @pids.delete(name)
        raise Failure, "the #{name} process ended by itself"
      end

      def stop
        @pids.each_value { |pid| signal("TERM", pid) }
        deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + DOWN_WITHIN_SECONDS
        @pids.each_value do |pid|
          sleep 0.1 until gone?(pid) || Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline
          signal("KILL", pid)
        end
      end

      private

      def ready?
        Net::HTTP.get_response("127.0.0.1", "/readyz", @port.to_i).is_a?(Net::HTTPSuccess)
      rescue SystemCallError
        false
      end

      # @return [Integer, nil] of a child that has ended
      def ended
        @pids.values.find { |pid| Process.wait(pid, Process::WNOHANG) }
      end

      def gone?(pid)
        Process.wait(pid, Process::WNOHANG)
      rescue Errno::ECHILD
        true
      end

      def signal(name, pid)
        Process.kill(name, -pid)
      rescue Errno::ESRCH, Errno::EPERM
        nil
      end
    end
  end
end
