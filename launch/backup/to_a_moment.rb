# frozen_string_literal: true

require "fileutils"
require "time"
require "tmpdir"
require_relative "../cluster"
require_relative "continuous"

module UprightBench
  module Launch
    module Backup
      # The part of bin/backup that hands every change over as it happens, and restores to a moment. Whoever includes it
      # is a Command.
      module ToAMoment
        private

        def moment(time)
          Time.parse(time)
        rescue ArgumentError
          raise Failure, "#{time} is no moment; write it as in 2026-11-27 14:05:00"
        end

        def restore_to(folder, time)
          FileUtils.mkdir_p(@state_dir)
          cluster = own_cluster
          Continuous.new(cluster).restore(folder, time, passphrase) do
            cluster.start
            cluster.stop
          end
          lay_files(Continuous.files(folder))
          Shell.say "The shop of #{time} is restored, with the pictures of its last base backup. bin/start goes on " \
                    "with it."
        end

        # @param file [String, nil] pictures and keys
        def lay_files(file)
          file or return
          unpacked(file) { |unpacked_into, _| copy_files(unpacked_into) }
        end

        # @param folder [String]
        def continuous(folder)
          Continuous.new(own_cluster).set_up(folder, passphrase(make: true))
          Shell.say "Stop the shop and start it once more; then bin/backup base, and again each night."
        end

        def base
          at = Time.now.utc
          folder = with_own_cluster do |cluster|
            Dir.mktmpdir("backup", @state_dir) do |scratch|
              Continuous.new(cluster).base(files, passphrase: passphrase, scratch: scratch, at: at)
            end
          end
          leave_word(folder, at)
          Shell.say "A base backup is in #{folder}."
        end

        def own_cluster
          Cluster.new(folder: File.join(@state_dir, "postgres"))
        end

        def with_own_cluster
          raise Failure, "there is no shop in #{@state_dir}" unless File.exist?(File.join(@state_dir, "postgres"))

          cluster = own_cluster
          cluster.start
          yield cluster
        ensure
          cluster&.stop
        end
      end
    end
  end
end
