# frozen_string_literal: true

require_relative "cluster"
require_relative "core_tests"
require_relative "gems"
require_relative "packages"

module UprightBench
  module Launch
    # Runs the tests on a cluster of their own.
    class Tests
      ROOT = File.expand_path("..", __dir__)

      DATABASE = "upright_bench_test"
      HELP = <<~WORDS
        bin/test             all tests, on a database of their own
        bin/test core        the core alone: no database, no gems
        bin/test FILE ...    the tests in these files
        bin/test --help      this

        TEST_DATABASE_URL and TEST_DATABASE_OWNER_URL name a database on a server that runs already: the first by a
        role that owns nothing, the second by one that owns the database, may make others, and is a member of the
        first. Without them the tests start a server of their own.
      WORDS
      ELSEWHERE = { "DATABASE_URL" => "TEST_DATABASE_URL", "DATABASE_OWNER_URL" => "TEST_DATABASE_OWNER_URL" }.freeze

      # @param files [Array<String>]
      # @return [String] a script that loads them
      def self.load_files(files)
        files.sort.map { |file| "require #{file.inspect}" }.join("\n")
      end

      # @param arguments [Array<String>] "core", --help, or test files; everything when empty
      def initialize(arguments)
        @arguments = arguments
      end

      # @return [Integer] exit status
      def call
        return core if @arguments == ["core"]
        return help unless @arguments.all? { |file| File.file?(file) }

        Packages.ensure(Packages::BUILD + Packages::SERVER + Packages::TESTS)
        bundle = Gems.new(ROOT).ensure
        cluster = start_cluster unless elsewhere?
        run(environment(bundle, cluster))
      rescue Failure => e
        Shell.say "Cannot test: #{e.message}"
        1
      ensure
        cluster&.stop
      end

      private

      def run(env)
        status(system(env, "bundle", "exec", "ruby", "-Itest", "-e", self.class.load_files(files), chdir: ROOT))
      end

      # Asked for, or there is an argument that is no file.
      def help
        strange = @arguments.reject { |argument| argument == "--help" || File.file?(argument) }
        Shell.say "There is no test file #{strange.join(' ')}." if strange.any?
        Shell.say HELP
        strange.any? ? 1 : 0
      end

      def core
        status(CoreTests.new(ROOT).call)
      end

      def status(went_well)
        went_well ? 0 : 1
      end

      def files
        return @arguments.map { |file| File.expand_path(file) } if @arguments.any?

        Dir[File.join(ROOT, "test/**/*_test.rb")]
      end

      def elsewhere?
        ELSEWHERE.values.all? { |name| ENV.key?(name) }
      end

      def start_cluster
        Cluster.new(folder: File.join(ROOT, "var/test-postgres"), fast: true).tap(&:start)
      end

      # Where it is day: what is written before midnight and read after it, or counted in days across a change of the
      # clocks, is another test. No hour here is nearer to midnight than four.
      # @return [String] the shop's time zone
      def zone
        case Time.now.utc.hour
        when 0..5 then "Pacific/Auckland"
        when 6..13 then "Europe/Berlin"
        else "America/Halifax"
        end
      end

      def environment(bundle, cluster)
        bundle.merge("APP_ENV" => "test", **database(cluster), "STATE_DIR" => File.join(ROOT, "var/test"),
          "PUBLIC_URL" => "http://127.0.0.1:4610", "SHOP_TZ" => zone, "SMTP_URL" => nil)
      end

      # @param cluster [Cluster, nil] nil where the server is another one
      def database(cluster)
        return ELSEWHERE.transform_values { |name| ENV.fetch(name) } if cluster.nil?

        cluster.create_database(DATABASE)
        { "DATABASE_URL" => cluster.url(DATABASE), "DATABASE_OWNER_URL" => cluster.owner_url(DATABASE) }
      end
    end
  end
end
