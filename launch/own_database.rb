# frozen_string_literal: true

require "fileutils"
require_relative "cluster"

module UprightBench
  module Launch
    # The shop's database for as long as a program needs it: the one that DATABASE_URL names, else the private cluster,
    # which is started when it does not run.
    class OwnDatabase
      NAME = "upright_bench"

      # @param env [Hash] as ENV
      # @param state_dir [String]
      def initialize(env, state_dir:)
        @elsewhere = !env["DATABASE_URL"].to_s.empty?
        @state_dir = state_dir
      end

      # @return [Boolean] whether there is one already
      def there?
        @elsewhere || File.exist?(File.join(cluster.data, "PG_VERSION"))
      end

      # @yieldparam urls [Hash{String=>String}] by which a process finds it, beside its environment
      def use
        return yield({}) if @elsewhere

        FileUtils.mkdir_p(@state_dir)
        cluster.start
        cluster.create_database(NAME)
        yield({ "DATABASE_URL" => cluster.url(NAME), "DATABASE_OWNER_URL" => cluster.owner_url(NAME) })
      ensure
        @cluster&.stop
      end

      private

      def cluster
        @cluster ||= Cluster.new(folder: File.join(@state_dir, "postgres"))
      end
    end
  end
end
