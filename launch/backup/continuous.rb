# frozen_string_literal: true

require "fileutils"
require "json"
require "time"
require_relative "../packages"
require_relative "../shell"
require_relative "archive"

module UprightBench
  module Launch
    module Backup
      # Every change of a private cluster, as it happens, into a folder elsewhere: base backups and the write-ahead log,
      # encrypted, by pgBackRest of Debian. From there the database is restored to any moment since the oldest base
      # backup.
      class Continuous
        STANZA = "shop"
        FULL_EACH_DAYS = 7 # in between, what has changed since
        FULL_KEPT = 4
        FILES_KEPT = 4
        FILES = "files-*#{Archive::SUFFIX}".freeze

        # @param cluster [Cluster]
        def initialize(cluster)
          @cluster = cluster
        end

        # From its next start on the cluster hands its log over.
        # @param repository [String] a folder elsewhere
        def set_up(repository, passphrase)
          Packages.ensure(%w[pgbackrest])
          ours(repository)
          write(@cluster.archiving, repository, passphrase)
        end

        # A base backup, and beside it pictures and keys.
        # @param files [Hash{String=>String}] name => path
        # @param scratch [String]
        # @return [String] the repository
        # @raise [Failure] while the log is not handed over yet
        def base(files, passphrase:, scratch:, at:)
          raise Failure, "say first where to: bin/backup continuous FOLDER" unless File.exist?(@cluster.archiving)
          unless @cluster.sql("SHOW archive_mode") == "on"
            raise Failure, "the shop has to be started once more first: since then it hands its log over"
          end

          rest("stanza-create", *port)
          rest("backup", "--type=#{full_due?(at) ? 'full' : 'incr'}", *port)
          repository.tap { |folder| keep_files(folder, files, passphrase, scratch, at) }
        end

        # Into an empty cluster, which hands its log over to nobody.
        # @param time [Time]
        # @yield to start it: it reads the log from the repository until it is there
        def restore(repository, time, passphrase)
          Packages.ensure(%w[pgbackrest])
          conf = File.join(@cluster.folder, "restore.conf")
          @cluster.prepare_folders
          write(conf, repository, passphrase)
          rest("--type=time", "--target=#{time.utc.strftime('%Y-%m-%d %H:%M:%S.%6N+00')}", "--target-action=promote",
            "--archive-mode=off", "restore", conf: conf)
          yield
        ensure
          FileUtils.rm_f(conf) if conf
        end

        # @return [String, nil] the newest file of pictures and keys
        def self.files(repository)
          Dir.glob(File.join(repository, FILES)).max
        end

        private

        def port
          ["--pg1-port=#{@cluster.port}"]
        end

        def rest(*arguments, conf: @cluster.archiving)
          @cluster.server("pgbackrest", "--config=#{conf}", "--stanza=#{STANZA}", *arguments)
        end

        def repository
          File.read(@cluster.archiving)[/^repo1-path=(.*)$/, 1]
        end

        # @return [Boolean] whether the newest full one is a week old, or there is none
        def full_due?(at)
          full = JSON.parse(rest("--output=json", "info")).flat_map { |stanza| stanza.fetch("backup", []) }
            .select { |backup| backup["type"] == "full" }.map { |backup| backup.dig("timestamp", "stop") }.max
          full.nil? || at.to_i - full > FULL_EACH_DAYS * 86_400
        end

        def keep_files(folder, files, passphrase, scratch, at)
          path = File.join(folder, "files-#{at.strftime('%Y%m%d-%H%M%S')}#{Archive::SUFFIX}")
          Archive.write(path, files, contents: { written_at: at.iso8601 }, passphrase: passphrase, scratch: scratch)
          Dir.glob(File.join(folder, FILES))[0...-FILES_KEPT].each { |old| FileUtils.rm_f(old) }
        end

        # The server's user writes there.
        def ours(repository)
          FileUtils.mkdir_p(repository)
          FileUtils.chown(@cluster.owner, @cluster.owner, repository) if @cluster.owner
        end

        def write(path, repository, passphrase)
          work = File.join(@cluster.folder, "continuous")
          FileUtils.mkdir_p(work)
          File.write(path, conf(repository, passphrase, work), perm: 0o600)
          FileUtils.chown(@cluster.owner, @cluster.owner, [path, work]) if @cluster.owner
        end

        # The log that cannot be handed over is given up before it fills the disk: from then on there is a gap until the
        # next base backup.
        def conf(repository, passphrase, work)
          <<~CONF
            [global]
            repo1-path=#{repository}
            repo1-cipher-type=aes-256-cbc
            repo1-cipher-pass=#{passphrase}
            repo1-retention-full=#{FULL_KEPT}
            archive-push-queue-max=4GiB
            start-fast=y
            log-level-console=warn
            log-level-file=off
            log-path=#{work}
            lock-path=#{work}
            spool-path=#{work}

            [#{STANZA}]
            pg1-path=#{@cluster.data}
            pg1-socket-path=#{@cluster.folder}
            pg1-user=postgres
          CONF
        end
      end
    end
  end
end
