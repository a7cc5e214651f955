# frozen_string_literal: true

require "sequel"
require "que"

module UprightBench
  module Config
    # The one connection pool, and the migrations.
    module Database
      MIGRATIONS = Settings::ROOT.join("migrations").to_s
      MOST_CONNECTIONS = 12
      MOST_SECONDS = 5 # to wait for a connection; then the page says that the database is away

      module_function

      # @param url [String]
      # @return [Sequel::Database]
      def connect(url)
        Sequel.default_timezone = :utc
        db = Sequel.connect(url, max_connections: MOST_CONNECTIONS, preconnect: false, after_connect: method(:settle),
          connect_timeout: MOST_SECONDS, pool_timeout: MOST_SECONDS)
        db.extension :pg_json, :pg_array
        Sequel::Model.db = db
        Que.connection = db
        db
      end

      # How near a name must be to one that was mistyped (trigrams of the nearest words; house rule).
      ALIKE = 0.5

      # Statements are not compiled: where the planner guesses too many rows, compiling took twice as long as the
      # statement ran.
      def settle(connection)
        connection.exec("SET pg_trgm.word_similarity_threshold = #{ALIKE}; SET jit = off")
      end

      # Brings the tables up as their owner, and says anew what the application's role may do.
      # @param db [Sequel::Database] the application's
      # @param owner_url [String, nil] the owner's; the application's own role when nil
      # @raise [SchemaVersion::Refused] for tables of a newer program
      def migrate(db, owner_url: SETTINGS.database_owner_url)
        Sequel.extension :migration
        as_owner(db, owner_url) do |owner|
          SchemaVersion.refuse_newer(owner)
          SchemaVersion.alone(owner) do
            Sequel::Migrator.run(owner, MIGRATIONS)
            Rights.grant(owner, role(db))
          end
        end
      ensure
        Que.connection = db
      end

      # Brings tables to a version, as they were when something was written.
      # @param owner [Sequel::Database]
      # @param version [Integer, nil] the newest when nil
      def migrate_to(owner, version)
        Sequel.extension :migration
        Sequel::Migrator.run(owner, MIGRATIONS, target: version)
      ensure
        Que.connection = DB if defined?(DB)
      end

      # @yieldparam owner [Sequel::Database] a connection of the role that owns the tables
      def as_owner(db, owner_url = SETTINGS.database_owner_url)
        return yield(db) if owner_url.nil?

        Sequel.connect(owner_url, keep_reference: false) do |owner|
          owner.extension :pg_json, :pg_array
          yield owner
        end
      end

      # @return [String] the name of the role that a connection runs as
      def role(db)
        db.get(Sequel.lit("current_user"))
      end

      # Only looked at: the application's role could not even make the migrator's own table.
      def current?(db)
        SchemaVersion.of(db) == SchemaVersion.newest
      end
    end
  end
end
