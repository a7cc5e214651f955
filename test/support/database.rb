# frozen_string_literal: true

require "digest"
require "sequel"
require "uri"

# The tests' databases. A small demo is built once into a template (once for each state of the code, time zone and day);
# every test that commits begins with a fresh copy of it.
module TestDatabase
  ROOT = File.expand_path("../..", __dir__)
  SOURCES = "{core,models,services,outbox,papers,formats,demo,migrations,config}/**/*.{rb,json}"
  HOUSEHOLDS = 9
  FLEETS = 1

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
        digest = Digest::SHA256.new << ENV.fetch("SHOP_TZ", "")
        Dir.glob(SOURCES, base: ROOT).sort.each { |file| digest << File.read(File.join(ROOT, file)) }
        "ub_template_#{digest.hexdigest[0, 12]}_#{Time.now.utc.strftime('%Y%m%d')}"
      end
    end

    # As the role that owns the tables, on a connection of its own: what it commits makes the database dirty.
    def as_owner(&)
      Sequel.connect(owner_url, test: false, keep_reference: false, &)
    end

    # Before the application is loaded.
    def prepare
      admin { |db| template_there?(db) ? copy(db) : make_empty(db) }
    end

    # Once the application is loaded: fills the template unless it is there.
    def fill
      return if admin { |db| template_there?(db) }

      UprightBench::Config::Database.migrate(UprightBench::DB)
      UprightBench::Demo::Load.new(households: HOUSEHOLDS, fleets: FLEETS).call
      UprightBench::Services::SealEvents.call # as the worker does within a minute
      UprightBench::DB.disconnect
      admin do |db|
        db[:pg_database].select_map(:datname).grep(/\Aub_template_/).each { |old| db.run("DROP DATABASE #{old}") }
        db.run("CREATE DATABASE #{template} TEMPLATE #{name}")
      end
    end

    # An empty database beside the tests' own, for the block.
    # @yieldparam env [Hash{String=>String}] that names it
    def empty_one(name)
      admin do |db|
        db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)")
        db.run("CREATE DATABASE #{name} TEMPLATE template0")
      end
      yield({ "DATABASE_URL" => url, "DATABASE_OWNER_URL" => owner_url }
        .transform_values { |address| URI(address).tap { |uri| uri.path = "/#{name}" }.to_s })
    ensure
      admin { |db| db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)") }
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
      Sequel.connect(URI(owner_url).tap { |uri| uri.path = "/postgres" }.to_s, test: false, keep_reference: false, &)
    end
  end
end
