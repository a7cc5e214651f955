# frozen_string_literal: true

require "sequel"
require "que"

module UprightBench
  module Config
    # The one connection pool, and the migrations.
    module Database
      MIGRATIONS = Settings::ROOT.join("migrations").to_s
      MOST_CONNECTIONS = 12

      module_function

      # @param url [String]
      # @return [Sequel::Database]
      def connect(url)
        Sequel.default_timezone = :utc
        db = Sequel.connect(url, max_connections: MOST_CONNECTIONS, preconnect: false, after_connect: method(:settle))
        db.extension :pg_json, :pg_array
        Sequel::Model.db = db
        Que.connection = db
        db
      end

      # How near a name must be to one that was mistyped (trigrams of the nearest words; house rule).
      ALIKE = 0.5

      # Statements are not compiled: where the planner guesses too many rows, compiling took twice as long as the statement ran.
      def settle(connection)
        connection.exec("SET pg_trgm.word_similarity_threshold = #{ALIKE}; SET jit = off")
      end

      def migrate(db)
        Sequel.extension :migration
        Sequel::Migrator.run(db, MIGRATIONS)
      end

      def current?(db)
        Sequel.extension :migration
        Sequel::Migrator.is_current?(db, MIGRATIONS)
      end
    end
  end
end
