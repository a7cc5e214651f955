# frozen_string_literal: true

require "etc"
require "fileutils"
require_relative "../failure"
require_relative "../gems"
require_relative "../packages"
require_relative "../program"
require_relative "../shell"
require_relative "units"

module UprightBench
  module Launch
    module Service
      # What bin/service does: prints the unit files, installs them for the system or for an ordinary user, takes them
      # away again.
      class Command
        include Program

        ROOT = File.expand_path("../..", __dir__)
        HELP = <<~WORDS
          bin/service print       the unit files for systemd, as they would be installed
          bin/service install     install them: as root for the system, else for this user
          bin/service remove      take them away again; the shop's data stays
          bin/service --help      this
           STATE_DIR is where the shop's data lies, BACKUPS the folder for the nightly backup (none without it), CONTINUOUS
           the folder that bin/backup continuous was given, for a base backup each night, SERVICE_USER as whom it runs when
           root installs it. With DATABASE_URL the database is a server elsewhere. Anything else that
           bin/start reads is written into the file ENVIRONMENT_FILE, a line each.
        WORDS

        # @param env [Hash] as ENV
        def initialize(arguments, env = ENV, root: Process.uid.zero?)
          @arguments = arguments
          @env = env
          @root = root
        end

        # @return [Integer] exit status
        def call
          what, = @arguments
          return help unless @arguments.size == 1 && %w[print install remove].include?(what)

          telling { send("#{what}_units") }
        end

        private

        def print_units
          units.all.each { |name, text| puts "# #{File.join(folder, name)}", text, "" }
        end

        def install_units
          refuse_nobody
          prepare
          FileUtils.mkdir_p(folder)
          units.all.each { |name, text| File.write(File.join(folder, name), text) }
          switch_on
          Shell.say "Installed in #{folder}: #{units.all.keys.join(', ')}."
        end

        def switch_on
          systemctl("daemon-reload")
          systemctl("enable", "--now", *units.enabled)
        end

        # Confined, the shop itself could install nothing.
        def prepare
          server = @env["DATABASE_URL"].to_s.empty? ? Packages::SERVER : []
          Packages.ensure(Packages::BUILD)
          Packages.meanwhile(Packages::RUN + server) { Gems.new(ROOT, without: "test").ensure }
        end

        def remove_units
          there = Dir.glob(File.join(folder, "#{Units::NAME}*.{service,timer}"))
          raise Failure, "there are none in #{folder}" if there.empty?

          systemctl("disable", "--now", *there.map { |path| File.basename(path) })
          FileUtils.rm_f(there)
          systemctl("daemon-reload")
          Shell.say "Taken away. The shop's data is where it was."
        end

        # What is left behind by another user could not be read by it.
        def refuse_nobody
          return unless @root

          Etc.getpwnam(user)
        rescue ArgumentError
          raise Failure, "there is no user #{user}: make one (adduser --system --group #{user}), give it STATE_DIR, " \
                         "and come again"
        end

        def systemctl(*arguments)
          Shell.run("systemctl", *("--user" unless @root), *arguments)
        end

        def folder
          return "/etc/systemd/system" if @root

          File.join(@env["XDG_CONFIG_HOME"] || File.join(@env.fetch("HOME"), ".config"), "systemd/user")
        end

        def user
          @env.fetch("SERVICE_USER", Units::NAME)
        end

        def units
          @units ||= Units.new(root: ROOT, state_dir: state_dir, user: (user if @root),
            environment: File.expand_path(@env.fetch("ENVIRONMENT_FILE", File.join(state_dir, "environment"))),
            server: !@env["DATABASE_URL"].to_s.empty?, **folders)
        end

        def folders
          { backups: "BACKUPS", continuous: "CONTINUOUS" }
            .transform_values { |name| @env[name] && File.expand_path(@env[name]) }
        end

        def state_dir
          File.expand_path(@env.fetch("STATE_DIR", File.join(ROOT, "var")))
        end
      end
    end
  end
end
