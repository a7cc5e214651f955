# frozen_string_literal: true

module UprightBench
  module Launch
    module Service
      # The unit files by which systemd runs a shop: with its private cluster, one unit that watches over all of it;
      # with a server elsewhere, the web process and the worker each by itself, after the tables were brought up to
      # date. And a backup each night, tried out once a month.
      class Units
        NAME = "upright-bench"
        # As narrow as each part allows: it writes into its own folder, and has no rights to gain.
        CONFINED = %w[
          NoNewPrivileges=yes ProtectSystem=strict ProtectHome=read-only PrivateTmp=yes PrivateDevices=yes
          ProtectKernelTunables=yes ProtectKernelModules=yes ProtectKernelLogs=yes ProtectControlGroups=yes
          ProtectClock=yes ProtectHostname=yes ProtectProc=invisible RestrictSUIDSGID=yes RestrictRealtime=yes
          RestrictNamespaces=yes LockPersonality=yes CapabilityBoundingSet= AmbientCapabilities= UMask=0077
          SystemCallArchitectures=native
        ].push("RestrictAddressFamilies=AF_UNIX AF_INET AF_INET6", "SystemCallFilter=@system-service").freeze
        TABLES = "#{NAME}-tables.service".freeze

        # @param root [String] of the program
        # @param state_dir [String]
        # @param environment [String] path of a file with what bin/start reads, a line each
        # @param user [String, nil] as whom it runs; nil for units of the user's own
        # @param server [Boolean] whether the database is a server elsewhere
        # @param backups [String, nil] the folder that backups go to
        # @param continuous [String, nil] the folder that changes are handed over to, with a base backup each night
        def initialize(root:, state_dir:, environment:, user:, server:, backups: nil, continuous: nil)
          @root = root
          @state_dir = state_dir
          @environment = environment
          @user = user
          @server = server
          @backups = backups
          @continuous = continuous
        end

        # @return [Hash{String=>String}] file => what stands in it
        def all
          { **(@server ? apart : together), **(@backups ? dumps : {}), **(@continuous ? bases : {}) }
        end

        # @return [Array<String>] those that are switched on
        def enabled
          all.keys.select { |name| all[name].include?("[Install]") }
        end

        private

        def together
          { "#{NAME}.service" => unit("The bench of a vacuum repair shop", "#{@root}/bin/start --own",
            kept_up: true, more: %w[KillMode=mixed TimeoutStopSec=60]) }
        end

        def apart
          bundle = "/usr/bin/env bundle exec"
          { TABLES => unit("Brings the tables of #{NAME} up to date", "#{bundle} rake db:wait db:migrate",
            type: "oneshot", more: ["RemainAfterExit=yes", "TimeoutStartSec=infinity"]),
            "#{NAME}-web.service" => after_tables("Pages of #{NAME}", "#{bundle} puma -C config/puma.rb"),
            "#{NAME}-worker.service" => after_tables("Background work of #{NAME}", "#{@root}/bin/worker") }
        end

        # Neither learns the owner's password.
        def after_tables(words, command)
          unit(words, command, kept_up: true, after: TABLES, more: ["UnsetEnvironment=DATABASE_OWNER_URL"])
        end

        def bases
          { "#{NAME}-base.service" => unit("A base backup of #{NAME}", "#{@root}/bin/backup base", type: "oneshot"),
            "#{NAME}-base.timer" => timer("A base backup each night", "*-*-* 01:45:00") }
        end

        def dumps
          newest = %(/bin/sh -c 'exec #{@root}/bin/backup drill "$(ls -t #{@backups}/*.ubb | head -n 1)"')
          { "#{NAME}-backup.service" => unit("A backup of #{NAME}", "#{@root}/bin/backup to #{@backups}",
            type: "oneshot"),
            "#{NAME}-backup.timer" => timer("A backup each night", "*-*-* 02:15:00"),
            "#{NAME}-drill.service" => unit("Tries out the newest backup of #{NAME}", newest, type: "oneshot"),
            "#{NAME}-drill.timer" => timer("A backup is tried out each month", "*-*-01 03:30:00") }
        end

        # @param type [String] as systemd.service has it
        # @param kept_up [Boolean] whether it is started with the system, and again when it dies
        # @param after [String, nil] a unit that has to have ended well before
        # @param more [Array<String>] lines of the section Service
        def unit(words, command, type: "exec", kept_up: false, after: nil, more: [])
          sections("Unit" => ["Description=#{words}", "After=network-online.target#{" #{after}" if after}",
                              "Wants=network-online.target", *("Requires=#{after}" if after)],
            "Service" => ["Type=#{type}", *("User=#{@user}" if @user), *surroundings, "ExecStart=#{command}",
                          *(["Restart=on-failure", "RestartSec=5"] if kept_up), *more, *CONFINED],
            "Install" => if kept_up
                           ["WantedBy=#{@user ? 'multi-user' : 'default'}.target"]
                         else
                           []
                         end)
        end

        def surroundings
          ["WorkingDirectory=#{@root}", "EnvironmentFile=-#{@environment}",
           "Environment=APP_ENV=production STATE_DIR=#{@state_dir} BUNDLE_PATH=#{@root}/vendor/bundle",
           "ReadWritePaths=#{[@state_dir, *@backups, *@continuous].join(' ')}"]
        end

        def timer(words, calendar)
          sections("Unit" => ["Description=#{words}"],
            "Timer" => ["OnCalendar=#{calendar}", "Persistent=yes", "RandomizedDelaySec=600"],
            "Install" => ["WantedBy=timers.target"])
        end

        def sections(all)
          all.reject do |_, lines|
            lines.empty?
          end.map { |name, lines| ["[#{name}]", *lines].join("\n") }.push("").join("\n\n").chomp
        end
      end
    end
  end
end
