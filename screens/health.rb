# frozen_string_literal: true

module UprightBench
  module Screens
    # For whoever watches over the processes: is it up, and can it work? Each check is tried, none is remembered.
    module Health
      CHECKS = {
        database: -> { DB.get(1) == 1 },
        migrations: -> { Config::Database.current?(DB) },
        # A worker that died leaves its row, but its connection is gone.
        storage: -> { Config::Storage.writable?(SETTINGS.state_dir) },
        worker: -> { !DB[:que_lockers].where(pid: DB[:pg_stat_activity].select(:pid)).empty? }
      }.freeze

      def self.registered(app)
        app.get "/healthz", open: true do
          content_type :json
          JSON.generate(up: true)
        end

        app.get "/readyz", open: true do
          content_type :json
          results = CHECKS.transform_values do |check|
            check.call
          rescue Sequel::Error, PG::Error
            false
          end
          status(results.values.all? ? 200 : 503)
          JSON.generate(results)
        end
      end
    end
  end
end
