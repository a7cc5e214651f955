# frozen_string_literal: true

require "etc"
require "fileutils"
require "optparse"
require "uri"
require_relative "cluster"
require_relative "gems"
require_relative "packages"
require_relative "tests/files"
require_relative "tests/place"
require_relative "tests/report"
require_relative "tests/run"

module UprightBench
  module Launch
    # Runs the tests: in one process more than there are processors, since what takes long mostly waits. Each has a
    # database, a folder and a browser of its own, on a cluster of their own.
    class Tests
      ROOT = File.expand_path("..", __dir__)

      DATABASE = "upright_bench_test"
      CORE = "test/core/**/*_test.rb"
      HELP = <<~WORDS.freeze
        bin/test              all tests
        bin/test quick        without the group that takes long
        bin/test core         the core alone: no database, no gems (bin/test core quick: without its long ones)
        bin/test FILE ...     the tests in these files
        bin/test --help       this

        --seed N              in the order, and with the chance, of another run
        --name PATTERN        only tests whose names match
        --processes N         at once; one more than there are processors without it
        --keep-times          write down how long each file took (#{Files::TIMES}), by which they are handed out

        TEST_MOMENT ("2028-02-29 10:00", on the shop's clock) and SHOP_TZ say when and where all tests take place.
        TEST_DATABASE_URL and TEST_DATABASE_OWNER_URL name a database on a server that runs already: the first by a
        role that owns nothing, the second by one that may make databases and is a member of the first. Without them
        the tests start a server of their own.
      WORDS
      GROUPS = [[], %w[quick], %w[core], %w[core quick]].freeze
      ELSEWHERE = { "DATABASE_URL" => "TEST_DATABASE_URL", "DATABASE_OWNER_URL" => "TEST_DATABASE_OWNER_URL" }.freeze
      PLACES = File.join(ROOT, "var/test")
      ONE_PROCESS = File.expand_path("tests/one_process.rb", __dir__)

      # @param arguments [Array<String>] as the help says
      def initialize(arguments)
        @options = {}
        @arguments = parser.parse(arguments, into: @options)
        @seed = @options.fetch(:seed) { Random.new_seed % 65_536 }
      rescue OptionParser::ParseError => e
        @arguments = [e.args.join(" ")]
      end

      # @return [Integer] exit status
      def call
        return help unless @options[:help].nil? && (GROUPS.include?(@arguments) || strange.empty?)

        core? ? core : all
      rescue Failure => e
        Shell.say "Cannot test: #{e.message}"
        1
      ensure
        leave
      end

      private

      # Another run may work on the same server.
      def leave
        @places&.each(&:give_up)
        @cluster&.stop(whoever_started_it: true) unless Place.any_taken?(PLACES)
      end

      def parser
        OptionParser.new do |options|
          options.on("--seed N", Integer)
          options.on("--name PATTERN")
          options.on("--processes N", Integer)
          options.on("--keep-times")
          options.on("--help")
        end
      end

      # Asked for, or there is an argument that is no file.
      def help
        Shell.say "There is no test file #{strange.join(' ')}." if strange.any?
        Shell.say HELP
        strange.any? ? 1 : 0
      end

      def strange
        @strange ||= GROUPS.include?(@arguments) ? [] : @arguments.reject { |name| File.file?(name) }
      end

      def core?
        @arguments.first == "core"
      end

      def core
        run(%w[ruby -w])
      end

      def all
        Packages.ensure(Packages::BUILD)
        bundle = Packages.meanwhile(Packages::RUN + Packages::SERVER + files.needs) { Gems.new(ROOT).ensure }
        start_cluster unless elsewhere?
        run(%w[bundle exec ruby]) { |place| bundle.merge(environment(place)) }
      end

      # @return [Integer] exit status
      def run(ruby, &environment)
        Shell.say "Seed #{@seed}"
        report = Report.new(some: @options.key?(:name))
        well = Run.new(files.longest_first, places: places, root: ROOT, report: report) do |place|
          [environment&.call(place).to_h, [*ruby, *command(place)]]
        end.call
        files.keep_times(report.took) if @options[:"keep-times"]
        say_how_to_repeat(report.failed)
        well ? 0 : 1
      end

      def command(place)
        ["-Itest", ONE_PROCESS, @seed.to_s, place.printed, *@options[:name]]
      end

      # @return [Array<Place>] one for each process; no more than there are files
      def places
        @places ||= Place.take(PLACES, [@options.fetch(:processes) { processes }, files.names.size].min)
      end

      # Nothing of the core waits.
      def processes
        core? ? Etc.nprocessors : Etc.nprocessors + 1
      end

      def say_how_to_repeat(failed)
        return if failed.empty?

        set = %w[TEST_MOMENT SHOP_TZ].select { |name| ENV.key?(name) }.map { |name| "#{name}=#{ENV[name].inspect} " }
        Shell.say "", "Once more: #{set.join}bin/test --seed #{@seed} #{failed.join(' ')}"
      end

      # @return [Files]
      def files
        @files ||= begin
          all = core? ? Files.all(ROOT, CORE) : Files.all(ROOT)
          all = Files.new(ROOT, named) unless GROUPS.include?(@arguments)
          @arguments.last == "quick" ? all.quick : all
        end
      end

      def named
        @arguments.map { |name| File.expand_path(name).delete_prefix("#{ROOT}/") }
      end

      def elsewhere?
        ELSEWHERE.values.all? { |name| ENV.key?(name) }
      end

      def start_cluster
        @cluster = Cluster.new(folder: File.join(ROOT, "var/test-postgres"), fast: true)
        @cluster.start
      end

      # The clock of the tests goes into every Ruby program that is started.
      def environment(place)
        { "APP_ENV" => "test", **database(place), "STATE_DIR" => place.folder,
          "PUBLIC_URL" => "http://127.0.0.1:4610", "SMTP_URL" => nil,
          "BOOT_CACHE" => File.join(ROOT, "var/cache"), "RUBYLIB" => File.join(ROOT, "test/support"),
          "RUBYOPT" => "-rtest_clock" }
      end

      # Each process makes its own beside the one that is named.
      def database(place)
        urls = elsewhere? ? ELSEWHERE.transform_values { |name| ENV.fetch(name) } : of_cluster
        urls.transform_values { |url| URI(url).tap { |uri| uri.path += "_#{place.number}" }.to_s }
      end

      def of_cluster
        { "DATABASE_URL" => @cluster.url(DATABASE), "DATABASE_OWNER_URL" => @cluster.owner_url(DATABASE) }
      end
    end
  end
end
