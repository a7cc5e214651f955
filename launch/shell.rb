# frozen_string_literal: true

require "open3"
require "socket"
require_relative "failure"

module UprightBench
  module Launch
    # Runs programs for the start and the tests: quietly, with their last words when they fail.
    module Shell
      module_function

      # @param command [Array<String>]
      # @param run_as [String, nil] another user, when started by root
      # @return [String] what it printed
      # @raise [Failure] with the program's last lines
      def run(*command, env: {}, run_as: nil, chdir: "/")
        line = run_as ? ["runuser", "-u", run_as, "--", *command] : command
        out, status = Open3.capture2e(env, *line, chdir: chdir)
        raise Failure, "#{File.basename(command.first)} failed: #{last_words(out)}" unless status.success?

        out
      end

      # @return [String] the last lines that say something, without the trail of a stack
      def last_words(out)
        out.lines.map(&:strip).reject { |line| line.empty? || line.match?(/\A(from )?\S+:\d+:in [`'][^']*'\z/) }.last(3)
          .join(" / ")
      end

      # @return [Boolean] whether it ended well
      def ok?(*command, run_as: nil, env: {}, chdir: "/")
        run(*command, run_as: run_as, env: env, chdir: chdir)
        true
      rescue Failure, SystemCallError
        false
      end

      # @return [Integer] a port on loopback that nobody holds now
      def free_port
        server = TCPServer.new("127.0.0.1", 0)
        server.addr[1]
      ensure
        server&.close
      end

      # @param name [String] of one of PostgreSQL's programs
      # @return [String] its path, of the newest version
      # @raise [Failure]
      def postgres(name)
        found = Dir["/usr/lib/postgresql/*/bin/#{name}"].max_by { |path| path[%r{postgresql/(\d+)}, 1].to_i }
        found || raise(Failure, "PostgreSQL's #{name} is not installed: apt-get install postgresql")
      end

      def root?
        Process.uid.zero?
      end

      def say(*text)
        $stdout.puts(*text)
        $stdout.flush
      end
    end
  end
end
