# frozen_string_literal: true

require "socket"
require_relative "children"
require_relative "cluster"
require_relative "demo_parts"
require_relative "gems"
require_relative "kept_shop"
require_relative "own_database"
require_relative "packages"
require_relative "restart"
require_relative "step"
require_relative "welcome"

module UprightBench
  module Launch
    # From a clean clone to a running application, and down again on Ctrl-C.
    class Start
      ROOT = File.expand_path("..", __dir__)
      DATABASE = OwnDatabase::NAME
      DEFAULT_PORT = "4610"
      HELP = <<~WORDS
        bin/start            start Upright Bench and keep its data; Ctrl-C stops it
        bin/start --own      begin a shop of your own, empty; later starts go on with it by themselves
        bin/start --fresh    ask, then delete the demo and load it again; with --own, delete it and begin a shop
        bin/start --help     this
         PORT, APP_ENV, DATABASE_URL and others are explained in README.md.
      WORDS

      ARGUMENTS = %w[--fresh --own].freeze

      # @param arguments [Array<String>] --own, --fresh or --help
      def initialize(arguments, env = ENV)
        @arguments = arguments
        @fresh = arguments.include?("--fresh")
        @env = env.to_h
        @port = @env.fetch("PORT", DEFAULT_PORT)
        @children = Children.new(ROOT, port: @port)
      end

      # @return [Integer] exit status
      def call
        return help if (@arguments - ARGUMENTS).any?

        start
        0
      rescue Failure => e
        Shell.say "Cannot start: #{e.message}"
        1
      rescue Interrupt
        0
      ensure
        stop
      end

      private

      def start
        File.umask(0o077)
        Signal.trap("TERM") { raise Interrupt }
        check_port
        workers
        prepare
        run
      end

      # Asked for, or there is an argument that means nothing here.
      def help
        strange = @arguments - [*ARGUMENTS, "--help"]
        Shell.say [("There is no #{strange.join(' ')}." if strange.any?), HELP].compact.join("\n")
        strange.any? ? 1 : 0
      end

      def check_port
        unless @port.match?(/\A\d{1,5}\z/) && @port.to_i.between?(1, 65_535)
          raise Failure, "PORT is not a port: #{@port}"
        end

        TCPServer.new("127.0.0.1", @port.to_i).close
      rescue Errno::EADDRINUSE
        raise Failure, "port #{@port} is in use; set PORT to another one"
      rescue Errno::EACCES
        raise Failure, "port #{@port} needs more rights than this user has; set PORT to one above 1023"
      end

      # @return [Integer] processes; each works on one core
      def workers
        said = @env.fetch("WORKER_PROCESSES", "1")
        raise(Failure, "WORKER_PROCESSES is a number from 1 to 99, not #{said}") unless said.match?(/\A[1-9]\d?\z/)

        said.to_i
      end

      def prepare
        Packages.ensure(Packages::BUILD)
        @bundle = Packages.meanwhile(Packages::RUN + (own_cluster? ? Packages::SERVER : [])) do
          Gems.new(ROOT, without: "test").ensure
        end
        refuse_to_empty if @fresh
        start_cluster if own_cluster?
        Shell.say "Bringing the database up …"
        return attend("bundle", "exec", "rake", "db:migrate", "shop:open", as_owner: true) if shop.own?

        attend("bundle", "exec", "rake", "db:migrate", as_owner: true)
        start_web # which takes as long to load as the first part of the demo
        attend("bundle", "exec", "rake", "demo:begin", as_owner: true, **DemoParts::UNHURRIED)
      end

      # Only the demo is deleted for the asking.
      def refuse_to_empty
        raise Failure, "--fresh empties the private cluster only, and DATABASE_URL names another" unless own_cluster?
        return unless shop.born?

        raise Failure, "--fresh deletes the demo, and #{state_dir} holds a shop of your own. To delete that shop for " \
                       "ever, delete the folder yourself"
      end

      def shop
        @shop ||= KeptShop.new(@env, folder: state_dir, asked: @arguments.include?("--own"))
      end

      def own_cluster?
        @env["DATABASE_URL"].to_s.empty?
      end

      def start_cluster
        @cluster = Cluster.new(folder: File.join(state_dir, "postgres"))
        Shell.say "Keeping the data in #{@cluster.folder}"
        close_to_others
        @cluster.start
        empty if @fresh
        @cluster.create_database(DATABASE)
        @env["DATABASE_URL"] = @cluster.url(DATABASE)
        @env["DATABASE_OWNER_URL"] = @cluster.owner_url(DATABASE)
      end

      # What earlier starts left open to everybody.
      def close_to_others
        Dir.children(state_dir).each do |name|
          path = File.join(state_dir, name)
          File.chmod(File.directory?(path) ? 0o700 : 0o600, path) if File.owned?(path) && !File.symlink?(path)
        end
      end

      def empty
        $stdout.print "This deletes everything that was entered#{' and loads the demo again' unless shop.own?}. " \
                      "Type yes to go on: "
        $stdout.flush
        raise Failure, "nothing was deleted" unless $stdin.gets.to_s.strip == "yes"

        @cluster.drop_database(DATABASE)
      end

      def state_dir = @env.fetch("STATE_DIR", File.join(ROOT, "var"))

      # Runs a step to its end, its words passed on.
      # @param as_owner [Boolean] whether it may know the role that owns the tables
      # @param more [Hash{String=>String}] of its environment
      def attend(*command, as_owner: false, **more)
        Step.run({ **settings(as_owner: as_owner), **more }, *command, chdir: ROOT)
      end

      # Neither web nor worker learns the owner's password.
      def settings(as_owner: false)
        @env.merge(@bundle, "PORT" => @port, "SHOP_TZ" => shop.zone,
          "DATABASE_OWNER_URL" => (@env["DATABASE_OWNER_URL"] if as_owner))
      end

      def start_web
        @children.start("web", settings, "bundle", "exec", "puma", "-C", "config/puma.rb")
      end

      def run
        start_web if shop.own?
        workers.times { |index| @children.start("worker #{index + 1}", settings, File.join(ROOT, "bin/worker")) }
        @children.wait_until_ready
        unless shop.own?
          DemoParts.start_rest(@children, root: ROOT, folder: state_dir, port: @port, env: settings,
            owner: settings(as_owner: true))
        end
        welcome
        @children.watch { keep_cluster_up }
      end

      def keep_cluster_up
        Restart.of(@cluster) unless @cluster.nil? || @cluster.running?
      end

      def welcome
        Shell.say Welcome.words(port: @port, folder: state_dir, own: shop.own?)
      end

      def stop
        @children.stop
        @cluster&.stop
      end
    end
  end
end
