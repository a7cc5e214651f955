# frozen_string_literal: true

module UprightBench
  module Queries
    # Whether everything that the application needs is there.
    module Readiness
      CHECKS = {
        database: -> { DB.get(1) == 1 },
        migrations: -> { Config::Database.current?(DB) },
        storage: -> { Config::Storage.writable?(SETTINGS.state_dir) },
        # A worker that died leaves its row, but its connection is gone.
        worker: -> { !DB[:que_lockers].where(pid: DB[:pg_stat_activity].select(:pid)).empty? }
      }.freeze

      module_function

      # @return [Hash{Symbol=>Boolean}]
      def call
        CHECKS.transform_values do |check|
          check.call
        rescue Sequel::Error, PG::Error
          false
        end
      end
    end
  end
end
