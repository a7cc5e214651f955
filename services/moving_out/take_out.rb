# frozen_string_literal: true

require "fileutils"
require "que"

module UprightBench
  module Services
    # Has the worker write everything of the shop into one file, which the owner fetches within a day.
    class TakeOut
      KEPT_HOURS = 24
      SHOWN = 10

      # The queue's job.
      class Work < Que::Job
        def run(id)
          TakeOut.write(Models::ArchiveRun.with_pk!(id), at: Time.now)
        end
      end

      # @param bills [Boolean] whether the bills are printed into it
      # @return [Models::ArchiveRun] the one that is under way already, or a new one
      def self.ask(bills:, by:, at:)
        Permissions.check!(:moving_out, by)
        DB.transaction do
          OneAtATime.wait("archive", "")
          running = Models::ArchiveRun.first(finished_at: nil)
          next running if running

          run = Models::ArchiveRun.create(asked_by: by.id, asked_at: at, bills: bills)
          History.note("asked for everything in one file", run, by: by, at: at)
          Work.enqueue(run.id)
          run
        end
      end

      # @param run [Models::ArchiveRun]
      def self.write(run, at:)
        return if run.finished_at

        FileUtils.mkdir_p(run.path.dirname)
        manifest = WriteArchive.call(run.path.to_s, at: at, bills: run.bills)
        run.update(finished_at: Time.now, bytes: run.path.size,
          rows: manifest.fetch(:tables).sum { |_, table| table.fetch(:rows) })
      rescue StandardError => e
        Config::Report.error(e, what: "archive")
        run.update(finished_at: Time.now, failed: "It could not be written.")
      end

      # @param run [Models::ArchiveRun]
      # @return [Pathname]
      # @raise [NotFound] when its file is not there, or no longer
      def self.fetch(run, by:, at:)
        Permissions.check!(:moving_out, by)
        raise NotFound, "This file is not there, or no longer." unless run.there?

        History.note("fetched everything in one file", run, by: by, at: at)
        run.path
      end

      # It holds everybody's addresses, and does not lie about.
      def self.delete_old(at:)
        Models::ArchiveRun.where(gone_at: nil).where { finished_at < at - (KEPT_HOURS * 3600) }.each do |run|
          FileUtils.rm_f(run.path)
          run.update(gone_at: at)
        end
      end

      # @return [Array<Models::ArchiveRun>] the newest
      def self.newest
        Models::ArchiveRun.reverse(:id).limit(SHOWN).eager(:asker).all
      end
    end
  end
end
