# frozen_string_literal: true

require "etc"
require_relative "shell"

module UprightBench
  module Launch
    # The bundle, kept inside the clone.
    class Gems
      # As many objects as the application has when it is loaded, so that Ruby does not look sixty times on the way what
      # could be thrown away: a quarter of the time until it is up.
      HEAP = { "RUBY_GC_HEAP_INIT_SLOTS" => "600000" }.freeze

      # For a program that was not started by one that told it where they are.
      def self.find
        ENV.update(new(File.expand_path("..", __dir__), without: "test").env) unless ENV.key?("BUNDLE_GEMFILE")
        require "bundler/setup"
      end

      # @param root [String] the clone
      # @param without [String, nil] a group that is not needed
      def initialize(root, without: nil)
        @root = root
        @without = without
      end

      # @return [Hash{String=>String}] the environment that finds the bundle
      # @raise [Failure] when a gem cannot be installed
      def ensure
        return env if Shell.ok?("bundle", "check", env: env, chdir: @root)

        Shell.say "Installing the gems, about two minutes the first time …"
        Shell.run("bundle", "install", "--quiet", env: env, chdir: @root)
        env
      end

      def env
        { "BUNDLE_GEMFILE" => File.join(@root, "Gemfile"), "BUNDLE_PATH" => File.join(@root, "vendor/bundle"),
          "BUNDLE_WITHOUT" => @without.to_s, "BUNDLE_FROZEN" => "true", "BUNDLE_SILENCE_ROOT_WARNING" => "true",
          "BUNDLE_BUILD__NOKOGIRI" => "--use-system-libraries", "MAKEFLAGS" => "-j#{Etc.nprocessors}", **HEAP }
      end
    end
  end
end
