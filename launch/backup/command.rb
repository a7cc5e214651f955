# frozen_string_literal: true

require "fileutils"
require "securerandom"
require "time"
require "tmpdir"
require_relative "../cluster"
require_relative "../program"
require_relative "../start"
require_relative "archive"
require_relative "to_a_moment"
require_relative "database"

module UprightBench
  module Launch
    module Backup
      # What bin/backup does: writes all of a shop into one encrypted file, restores one into an empty place, and tries
      # out whether one can be restored.
      class Command
        include Program
        include ToAMoment

        HELP = <<~WORDS
          bin/backup to FOLDER      write a backup of the shop into a folder
          bin/backup restore FILE   into an empty place (STATE_DIR), from which bin/start goes on
          bin/backup continuous FOLDER   from the next start on, hand each change over to a folder elsewhere, as it happens
          bin/backup base           a base backup into that folder; then, each night
          bin/backup restore FOLDER TIME   from such a folder, as it was at a moment ("2026-11-27 14:05:00"), into an empty place
          bin/backup drill FILE     restore it into a place of its own, compare, and throw that away
          bin/backup --help         this
           The passphrase is BACKUP_PASSPHRASE, else what stands in backup.passphrase in STATE_DIR; the first backup makes it.
        WORDS
        # what => how many words follow it
        ARGUMENTS = { "to" => [1], "restore" => [1, 2], "drill" => [1], "continuous" => [1], "base" => [0] }.freeze
        DUMP = "database.dump"
        LETTERS = "23456789abcdefghjkmnpqrstvwxyz"

        def initialize(arguments, env = ENV)
          @arguments = arguments
          @env = env
          @state_dir = File.expand_path(env.fetch("STATE_DIR", File.join(Start::ROOT, "var")))
        end

        # @return [Integer] exit status
        def call
          File.umask(0o077)
          what, where, time = @arguments
          return help unless ARGUMENTS.fetch(what, []).include?(@arguments.size - 1)

          telling { send(what, *(File.expand_path(where) if where), *time) }
        end

        private

        # @param folder [String]
        def to(folder)
          raise Failure, "there is no folder #{folder}" unless File.directory?(folder)

          at = Time.now.utc
          path = File.join(folder, "upright-bench-#{at.strftime('%Y%m%d-%H%M%S')}#{Archive::SUFFIX}")
          with_database do |url|
            Dir.mktmpdir("backup", @state_dir) { |scratch| pack(url, path, scratch, at) }
          end
          leave_word(path, at)
          Shell.say "Written: #{path} (#{File.size(path) / 1024} kB)."
        end

        # For the owner's page.
        def leave_word(path, at)
          bytes = File.directory?(path) ? Dir.glob("#{path}/**/*").sum { |file| File.size(file) } : File.size(path)
          said = { at: at.iso8601, path: path, kilobytes: bytes / 1024 }
          File.write(File.join(@state_dir, "backup.last"), JSON.generate(said))
        end

        def pack(url, path, scratch, at)
          dump = File.join(scratch, DUMP)
          digests = Database.new(url).dump(dump)
          Archive.write(path, { DUMP => dump, **files }, passphrase: passphrase(make: true), scratch: scratch,
            contents: { written_at: at.iso8601, tables: digests })
        end

        # Pictures and keys, by their name below STATE_DIR.
        def files
          Dir.glob(["pictures/**/*", "keys.json"], base: @state_dir).sort
            .to_h { |name| [name, File.join(@state_dir, name)] }.select { |_, file| File.file?(file) }
        end

        # @param where [String] a backup; or the folder to which changes were handed over
        # @param time [String, nil] as it was then, of such a folder
        def restore(where, time = nil)
          raise Failure, "there is something in #{@state_dir} already: restore into an empty place" if occupied?

          time ? restore_to(where, moment(time)) : restore_backup(where)
        end

        def copy_files(folder)
          %w[pictures keys.json].map { |name| File.join(folder, name) }.select { |path| File.exist?(path) }
            .each { |path| FileUtils.cp_r(path, @state_dir) }
        end

        def restore_backup(file)
          unpacked(file) do |folder, contents|
            FileUtils.mkdir_p(@state_dir)
            in_cluster(File.join(@state_dir, "postgres")) { |url| Database.new(url).restore(File.join(folder, DUMP)) }
            copy_files(folder)
            Shell.say "The shop of #{contents['written_at']} is restored. bin/start goes on with it."
          end
        end

        # @param file [String]
        # @raise [Failure] naming the tables that are not as they were
        def drill(file)
          unpacked(file) do |folder, contents|
            in_cluster(File.join(folder, "postgres")) do |url|
              database = Database.new(url)
              database.restore(File.join(folder, DUMP))
              compare(contents.fetch("tables"), database.digests)
            end
            rows = contents.fetch("tables").sum { |_, (count, _)| count }
            Shell.say "Restored and compared: #{contents['tables'].size} tables, #{rows} rows, all as they were."
          end
        end

        def compare(before, after)
          other = (before.keys | after.keys).reject { |table| before[table] == after[table] }
          raise Failure, "restored, these tables are not as they were: #{other.join(', ')}" if other.any?
        end

        def unpacked(file)
          raise Failure, "there is no file #{file}" unless File.file?(file)

          Dir.mktmpdir("ub", "/var/tmp") do |folder|
            yield folder, Archive.read(file, folder, passphrase: passphrase)
          end
        end

        def in_cluster(folder)
          cluster = Cluster.new(folder: folder)
          cluster.start
          cluster.create_database(Start::DATABASE)
          yield cluster.owner_url(Start::DATABASE)
        ensure
          cluster&.stop
        end

        # The one that runs, or the private cluster for as long as it takes.
        def with_database(&)
          given = @env["DATABASE_OWNER_URL"] || @env["DATABASE_URL"]
          return yield(given) unless given.to_s.empty?
          raise Failure, "there is no shop in #{@state_dir}" unless File.exist?(File.join(@state_dir, "postgres"))

          in_cluster(File.join(@state_dir, "postgres"), &)
        end

        # @param make [Boolean] whether one is made where there is none
        def passphrase(make: false)
          kept = File.join(@state_dir, "backup.passphrase")
          said = @env["BACKUP_PASSPHRASE"].to_s
          return said unless said.empty?
          return File.read(kept).strip if File.exist?(kept)
          raise Failure, "no passphrase: set BACKUP_PASSPHRASE" unless make

          made = Array.new(6) { Array.new(4) { LETTERS[SecureRandom.random_number(LETTERS.size)] }.join }.join("-")
          File.write(kept, made, perm: 0o600)
          Shell.say "The passphrase of the backups is #{made}\n" \
                    "Write it down away from this machine: without it nobody can read them."
          made
        end
      end
    end
  end
end
