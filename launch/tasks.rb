# frozen_string_literal: true

require_relative "gems"
require_relative "kept_shop"
require_relative "own_database"
require_relative "packages"
require_relative "program"
require_relative "start"
require_relative "step"

module UprightBench
  module Launch
    # Runs rake or irb for bin/rake and bin/console, with the gems of this project and, where there is a shop, with its
    # database, as bin/start left them.
    class Tasks
      include Program

      # What a shop itself may need; all else is for whoever works on the program, and uses the tests' gems too.
      OF_A_SHOP = /\A(?:archive|audit|db|demo|keys|shop):/
      WITHOUT_DATABASE = /\A(?:lint|assets|vendor|mutants|simulations|(?:tests|hostile|promises|lint):|\z)/
      LOOKS_ONLY = /\A(?:-[TPDWnhVA]|--(?:tasks|prereqs|describe|where|dry-run|help|version|all)\b)/

      # @param program [Array<String>] as in ["rake"]
      # @param arguments [Array<String>] for it
      # @param env [Hash] as ENV
      def initialize(program, arguments, env = ENV)
        @program = program
        @arguments = arguments
        @env = env.to_h
        @state_dir = File.expand_path(@env.fetch("STATE_DIR", File.join(Start::ROOT, "var")))
      end

      # @return [Integer] exit status
      def call
        telling { with_database { |urls| Step.run(settings(urls), *command, chdir: Start::ROOT) } }
      end

      private

      def command
        ["bundle", "exec", *@program, *@arguments]
      end

      def with_database(&)
        return yield({}) if @arguments.any?(LOOKS_ONLY) || tasks.all?(WITHOUT_DATABASE)

        database = OwnDatabase.new(@env, state_dir: @state_dir)
        database.there? ? database.use(&) : yield({})
      end

      # @return [Array<String>] without what is set for them
      def tasks
        @arguments.grep_v(/\A\w+=/)
      end

      def settings(urls)
        shop = KeptShop.new(@env, folder: @state_dir, asked: false)
        { **@env, **bundle, **urls, "STATE_DIR" => @state_dir, "SHOP_TZ" => shop.zone }
      end

      def bundle
        Packages.ensure(Packages::BUILD)
        Packages.meanwhile(Packages::RUN) { Gems.new(Start::ROOT, without: ("test" if for_a_shop?)).ensure }
      end

      def for_a_shop?
        @program != ["rake"] || @arguments.any?(OF_A_SHOP)
      end
    end
  end
end
