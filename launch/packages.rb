# frozen_string_literal: true

require_relative "shell"

module UprightBench
  module Launch
    # Debian packages: installs what is missing, as root or through sudo.
    class Packages
      SERVER = %w[postgresql libpq-dev].freeze
      BUILD = %w[build-essential ruby-dev pkg-config libyaml-dev libffi-dev libxml2-dev libxslt1-dev libvips42].freeze

      def self.ensure(names)
        new(names).ensure
      end

      def initialize(names)
        @names = names
      end

      # @raise [Failure] when a package cannot be installed
      def ensure
        missing = @names.reject { |name| installed?(name) }
        return if missing.empty?

        Shell.say "Installing #{missing.join(', ')} …"
        admin("apt-get", "update", "-qq")
        admin("apt-get", "install", "-y", "-qq", "--no-install-recommends", *missing)
      end

      private

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
