# frozen_string_literal: true

require_relative "failure"

module UprightBench
  module Launch
    # One step of the start, run to its end with its words passed on.
    module Step
      module_function

      # @param env [Hash{String=>String, nil}]
      # @raise [Failure]
      # @raise [Interrupt] when it is told to stop; nothing of the step is left behind then
      def run(env, *command, chdir:)
        pid = Process.spawn(env, *command, chdir: chdir)
        _, status = Process.wait2(pid)
        raise Failure, "#{command.last} did not end well; its words are above" unless status.success?
      rescue Interrupt
        stop(pid)
        raise
      end

      def stop(pid)
        Process.kill("TERM", pid)
        Process.wait(pid)
      rescue Errno::ESRCH, Errno::ECHILD
        nil # it was told the same, and is gone
      end
      private_class_method :stop
    end
  end
end
