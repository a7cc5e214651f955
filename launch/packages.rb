# frozen_string_literal: true

require "tmpdir"
require_relative "shell"

module UprightBench
  module Launch
    # Debian packages: installs what is missing, as root or through sudo.
    class Packages
      # Packages that bundler needs to compile the gems.
      BUILD = %w[build-essential ruby-dev pkg-config libyaml-dev libffi-dev libxml2-dev libxslt1-dev libpq-dev].freeze
      # Libraries that the application loads when it runs.
      RUN = %w[libvips42].freeze
      SERVER = %w[postgresql].freeze

      def self.ensure(names)
        new(names).ensure
      end

      # Installs while the block does something else that takes its time.
      # @return [Object] the block's
      # @raise [Failure] as ensure does, once the block is through
      def self.meanwhile(names)
        installing = Thread.new { self.ensure(names) }
        installing.report_on_exception = false
        yield.tap { installing.join }
      end

      def initialize(names)
        @names = names
      end

      # @raise [Failure] when a package cannot be installed
      def ensure
        alone { install(missing) } if missing.any?
      end

      private

      def install(names)
        return if names.empty? # somebody else did meanwhile

        Shell.say "Installing #{names.join(', ')} …"
        admin("apt-get", "update", "-qq")
        admin("apt-get", "install", "-y", "-qq", "--no-install-recommends", *names)
      end

      # Two of ours at once would find the package manager locked.
      def alone
        File.open(File.join(Dir.tmpdir, "upright-bench-packages-#{Process.uid}.lock"), "w") do |lock|
          lock.flock(File::LOCK_EX)
          yield
        end
      end

      def missing
        @names.reject { |name| installed?(name) }
      end

      def installed?(name)
        Shell.run("dpkg-query", "-W", "-f", "${Status}", name).include?("install ok installed")
      rescue Failure
        false
      end

      def admin(*command)
        env = { "DEBIAN_FRONTEND" => "noninteractive" }
        return Shell.run(*command, env: env) if Shell.root?
        unless Shell.ok?("which", "sudo")
          raise Failure, "#{@names.join(', ')} must be installed, and there is no sudo here"
        end

        Shell.run("sudo", "DEBIAN_FRONTEND=noninteractive", *command)
      end
    end
  end
end
