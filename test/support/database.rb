# frozen_string_literal: true

require "digest"
require "sequel"
require "uri"
require_relative "test_clock"

# The tests' databases. A small demo is built once into a template (once for each state of the code, time zone and
# moment); every test that commits begins with a fresh copy of it. Processes that run at the same time share the
# template, and each has a database of its own.
module TestDatabase
  ROOT = File.expand_path("../..", __dir__)
  SOURCES = "{core,english,models,services,outbox,papers,formats,demo,migrations,config}/**/*.{rb,json}"
  SMALL = { households: 9, fleets: 1, history_days: 430 }.freeze # twice in the shop only a fleet's machines
  BUILDING = 4_610_001 # lock of the one who builds the template
  MOST_TEMPLATES = 3 # are kept: of the code before a change and after it, and of another moment

  class << self
    def url
      ENV.fetch("DATABASE_URL")
    end

    # Of the role that owns the tables and makes databases.
    def owner_url
      ENV.fetch("DATABASE_OWNER_URL")
    end

    def name
      URI(url).path.delete_prefix("/")
    end

    def template
      @template ||= begin
        digest = Digest::SHA256.new << SMALL.to_s << ENV.fetch("SHOP_TZ") << ENV.fetch("TEST_MOMENT")
        Dir.glob(SOURCES, base: ROOT).sort.each { |file| digest << File.read(File.join(ROOT, file)) }
        "ub_template_#{digest.hexdigest[0, 12]}"
      end
    end

    # As the role that owns the tables, on a connection of its own: what it commits makes the database dirty.
    def as_owner(&)
      Sequel.connect(owner_url, test: false, keep_reference: false, &)
    end

    # Before the application is loaded. Whoever comes first is to fill the template, and the others wait for it.
    def prepare
      @builder = Sequel.connect(postgres_url, test: false, keep_reference: false, max_connections: 1)
      @builder.get(Sequel.function(:pg_advisory_lock, BUILDING))
      template_there?(@builder) ? copy(@builder) : make_empty(@builder)
    end

    # Once the application is loaded: fills the template unless it is there.
    def fill
      build unless template_there?(@builder)
    ensure
      @builder.disconnect # which gives up the lock
    end

    # An empty database beside the tests' own, for the block.
    # @yieldparam env [Hash{String=>String}] that names it
    def empty_one(purpose)
      beside = "#{name}_#{purpose}"
      admin do |db|
        db.run("DROP DATABASE IF EXISTS #{beside} WITH (FORCE)")
        db.run("CREATE DATABASE #{beside} TEMPLATE template0")
      end
      yield({ "DATABASE_URL" => url, "DATABASE_OWNER_URL" => owner_url }
        .transform_values { |address| URI(address).tap { |uri| uri.path = "/#{beside}" }.to_s })
    ensure
      admin { |db| db.run("DROP DATABASE IF EXISTS #{beside} WITH (FORCE)") }
    end

    # Columns that the database fills with its own time are filled with the moment.
    def stop_the_clock(owner)
      columns = owner[Sequel[:information_schema][:columns]].where(table_schema: "public", column_default: "now()")
        .exclude(Sequel.like(:table_name, "que_%")).select_map(%i[table_name column_name])
      columns.each do |table, column|
        owner.run("ALTER TABLE #{table} ALTER #{column} SET DEFAULT #{owner.literal(TestClock.moment)}")
      end
    end

    # Set by a test that commits; the next test begins with a fresh copy.
    attr_writer :dirty

    def renew
      UprightBench::DB.disconnect
      admin { |db| copy(db) }
      UprightBench::Models::SheetVersion.instance_variable_get(:@parsed).clear # the copy gives out the same ids again
      @dirty = false
    end

    def clean
      renew if @dirty
    end

    private

    def build
      UprightBench::Config::Database.migrate(UprightBench::DB)
      as_owner { |owner| stop_the_clock(owner) }
      UprightBench::Demo::Load.new(now: TestClock.moment, **SMALL).call
      UprightBench::Services::SealEvents.call # as the worker does within a minute
      UprightBench::DB.disconnect
      drop_old_templates
      @builder.run("CREATE DATABASE #{template} TEMPLATE #{name}")
    end

    # By the number of the database, which grows.
    def drop_old_templates
      @builder[:pg_database].where(Sequel.like(:datname, "ub_template_%")).reverse(Sequel.cast(:oid, :bigint))
        .offset(MOST_TEMPLATES - 1).select_map(:datname).each { |old| @builder.run("DROP DATABASE #{old}") }
    end

    def template_there?(db)
      !db[:pg_database].where(datname: template).empty?
    end

    def copy(db)
      db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
      db.run("CREATE DATABASE #{name} TEMPLATE #{template}")
      # Which the template does not pass on
      db.run("REVOKE ALL ON DATABASE #{name} FROM PUBLIC; GRANT CONNECT, TEMPORARY ON DATABASE #{name} TO " \
             "#{URI(url).user}")
    end

    def make_empty(db)
      db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
      db.run("CREATE DATABASE #{name} TEMPLATE template0")
    end

    def admin(&)
      Sequel.connect(postgres_url, test: false, keep_reference: false, &)
    end

    def postgres_url
      URI(owner_url).tap { |uri| uri.path = "/postgres" }.to_s
    end
  end
end
