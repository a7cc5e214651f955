# frozen_string_literal: true

require "English"
require "json"
require "net/http"
require_relative "leash"
require_relative "patience"
require_relative "shell"

module UprightBench
  module Launch
    # The processes of the application: started together, watched, started again when one ends by itself, and ended
    # together, also when whoever started them is killed.
    class Children
      DOWN_WITHIN_SECONDS = 8
      MOST_ENDS = 5 # of one process within a minute; then something is wrong that starting it again does not mend
      MINUTE = 60

      # @param root [String] where they run
      # @param port [String] on which the web process answers
      def initialize(root, port:)
        @root = root
        @port = port
        @pids = {}
        @commands = {}
        @once = []
        @ends = Hash.new { |all, name| all[name] = [] }
        @leash, @held = IO.pipe # nobody writes to it
      end

      # In a group of its own, so that Ctrl-C reaches it through us and once.
      # @param env [Hash{String=>String, nil}]
      # @param once [Boolean] whether it is done when it ended well
      def start(name, env, *command, once: false)
        @commands[name] = [env, *command]
        @once << name if once
        @pids[name] = Process.spawn({ **env, Leash::VARIABLE => @leash.fileno.to_s }, *command, chdir: @root,
          pgroup: true, @leash => @leash)
      end

      # The worker too: what is sent in the first second leaves. However long it takes, as long as something is done.
      # @raise [Failure]
      def wait_until_ready
        patience = Patience.new(@pids.values)
        until (missing = still_missing).empty?
          name = @pids.key(ended)
          raise Failure, "the #{name} process ended; its last words are above" if name && !@once.include?(name)

          patience.wait_for(missing)
          sleep 0.2
        end
      end

      # Until it is told to stop. One that ends by itself is started again, and leaves the others alone.
      # @yield again and again, for what else is to be kept up
      # @raise [Failure] when it ends again and again
      def watch
        loop do
          yield
          pid = ended
          pid ? again(@pids.key(pid)) : sleep(0.5)
        end
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

      def again(name)
        @pids.delete(name)
        return if @once.include?(name) && $CHILD_STATUS.success?

        time = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @ends[name] = [*@ends[name].select { |before| time - before < MINUTE }, time]
        raise Failure, "the #{name} process ended #{MOST_ENDS} times within a minute" if @ends[name].size >= MOST_ENDS

        Shell.say "The #{name} process ended by itself and is started again."
        start(name, *@commands.fetch(name))
      end

      # @return [String] what is not there yet; empty when all is
      def still_missing
        answer = Net::HTTP.get_response("127.0.0.1", "/readyz", @port.to_i)
        answer.is_a?(Net::HTTPSuccess) ? "" : JSON.parse(answer.body).reject { |_, there| there }.keys.join(", ")
      rescue SystemCallError, IOError, Timeout::Error, JSON::ParserError
        "the web process"
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
