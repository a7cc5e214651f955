# frozen_string_literal: true

require_relative "gems"
require_relative "own_database"
require_relative "program"
require_relative "start"
require_relative "step"

module UprightBench
  module Launch
    # What bin/archive does: everything of a shop out into one file that other programs can read, and in again.
    class Archive
      include Program

      HELP = <<~WORDS
        bin/archive out FILE   write everything of the shop into one file (ZIP; not encrypted, without passwords and keys)
        bin/archive in FILE    make a shop of it in an empty place (STATE_DIR), from which bin/start goes on
        bin/archive --help     this
         DATABASE_URL and DATABASE_OWNER_URL name a database elsewhere; it must be empty to read into.
      WORDS
      TASKS = { "out" => "archive:write", "in" => "archive:read" }.freeze

      def initialize(arguments, env = ENV)
        @arguments = arguments
        @env = env.to_h
        @state_dir = File.expand_path(env.fetch("STATE_DIR", File.join(Start::ROOT, "var")))
      end

      # @return [Integer] exit status
      def call
        File.umask(0o077)
        what, file = @arguments
        return help unless @arguments.size == 2 && TASKS.key?(what)

        telling { run(what, File.expand_path(file)) }
      end

      private

      def run(what, file)
        check(what, file)
        bundle = Gems.new(Start::ROOT, without: "test").ensure
        OwnDatabase.new(@env, state_dir: @state_dir).use do |urls|
          Step.run(@env.merge(bundle, urls, "STATE_DIR" => @state_dir), "bundle", "exec", "rake",
            "#{TASKS.fetch(what)}[#{file}]", chdir: Start::ROOT)
        end
      end

      def check(what, file)
        return raise(Failure, "there is something at #{file} already") if what == "out" && File.exist?(file)
        return if what == "out"

        raise Failure, "there is no file #{file}" unless File.file?(file)
        raise Failure, "there is something in #{@state_dir} already: read it into an empty place" if occupied?
      end
    end
  end
end
