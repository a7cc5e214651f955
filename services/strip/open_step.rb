# frozen_string_literal: true

module UprightBench
  module Services
    # A step of opening a machine is done, and what came off is counted out. Done twice is done once.
    class OpenStep
      # @param key [String] of a step of the job's sheet
      # @param counts [Hash{String=>Integer}, nil] as CountTray takes them
      # @return [Models::OpenedStep]
      # @raise [NotFound] when the sheet has no such step
      # @raise [Refused] before what comes before it, while a stop stands, when the job is closed up
      def self.call(number, key, by:, at:, counts: nil)
        DB.transaction { new(Lookup.job(number, lock: true), key, by, at).call(counts) }
      end

      # Steps that were done on the way to a place, as nobody said so: what the sheet says came off.
      # @param job [Models::Job] locked
      def self.on_the_way(job, place, by:, at:)
        TrayOfJob.call(job).closed_before(place).each do |step|
          new(job, step.key, by, at).write(counted_out: false)
        end
      end

      def initialize(job, key, by, at)
        @job = job
        @step = TrayOfJob.step(job, key)
        @by = by
        @at = at
      end

      def call(counts)
        known = Models::OpenedStep.standing.first(job_id: @job.id, step: @step.key)
        return known if known

        refuse_over
        refuse_stop
        refuse_before
        refuse_warranty
        opened = write(counted_out: true)
        CountTray.call(opened, Core::Strip::Piece.of(@step), counts, by: @by, at: @at)
        MoveOn.call(@job) if @job.agreed?
        opened
      end

      # @return [Models::OpenedStep]
      def write(counted_out:)
        @job.update(tools_back_at: nil, tools_back_by: nil)
        opened = Models::OpenedStep.create(job_id: @job.id, step: @step.key, counted_out: counted_out, opened_at: @at,
          opened_by: @by.id)
        History.note("opened", opened, by: @by, at: @at, job: @job, data: { step: @step.key })
        opened
      end

      private

      def refuse_over
        return if @job.recordable?

        raise Refused, "Job #{@job.number} is #{@job.state_words}: nothing is opened any more."
      end

      def refuse_stop
        stop = Models::Stop.standing.first(job_id: @job.id)
        return unless stop

        raise Refused, "Stop: #{stop.reason} Nothing else is done until somebody records what was done about it."
      end

      def refuse_before
        first = TrayOfJob.call(@job).missing_before(@step).last
        raise Refused, "First: #{first.name.downcase}." if first
      end

      # Not before somebody agreed to it by name.
      def refuse_warranty
        return unless @step.beyond_handbook && @job.machine.warranty(Config::Zone.date(@at)).in?
        return if Quotes.agreed(@job)&.warranty_name

        raise Refused, "This goes beyond the owner's handbook and may end the maker's warranty, and nobody agreed to " \
                       "that by name yet."
      end
    end
  end
end
