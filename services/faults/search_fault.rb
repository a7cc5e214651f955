# frozen_string_literal: true

require "securerandom"

module UprightBench
  module Services
    # The search for what is behind a complaint, step by step. Each result becomes a finding at its place, so that
    # verdicts, work, parts and clocks follow from it.
    class SearchFault
      class << self
        # @param complaint [String] a key of Core::Faults::Complaints
        # @return [Models::FaultSearch] the one that is open, or a new one
        # @raise [Refused] when nothing more is recorded of the job
        def begin(number, complaint, by:, at:)
          with(number, by) do |job|
            possible(complaint, job)
            open = open_of(job)
            next open if open&.complaint == complaint

            close(open, job, "dropped", by, at) if open
            create(job, complaint, by, at)
          end
        end

        # @param check [String] its key
        # @param result [String] of Core::Faults::Belief::RESULTS
        # @param cause [String, nil] which of the faults that it can show was seen; the likeliest when nil
        # @raise [Refused] when it was answered already, or the machine stays shut
        def answer(number, check, result, by:, at:, cause: nil)
          with(number, by) { |job| new(job, open!(job), by, at).answer(check, result, cause) }
        end

        # The last answer was wrong: what it wrote as a finding goes with it, what stood there before comes back.
        # @return [String, nil] the place at which the finding stays, since something else rests on it
        def take_back(number, by:, at:)
          with(number, by) do |job|
            search = open!(job)
            row = search.results.last or raise Refused, "Nothing was answered yet."
            row.update(taken_back_at: at, taken_back_by: by.id)
            search.update(mended: Sequel.pg_array(search.mended.to_a - [row.cause], :text))
            History.note("took back a check", row, by: by, at: at, job: job, data: { check: row.check_key })
            row.position if PlaceBefore.new(job, row, by: by, at: at).put_back == :stays
          end
        end

        # It was mended, and the complaint is still there.
        # @param cause [String]
        def still_there(number, cause, by:, at:)
          with(number, by) do |job|
            search = open!(job)
            known_cause(search, job, cause)
            search.update(mended: Sequel.pg_array(search.mended.to_a | [cause], :text))
            History.note("mended it, and it is still there", search, by: by, at: at, job: job, data: { cause: cause })
          end
        end

        # @param cause [String, nil] what it was; nil when it was not found
        def finish(number, cause, by:, at:)
          with(number, by) do |job|
            search = open!(job)
            known_cause(search, job, cause) if cause
            close(search, job, cause ? "found" : "not_found", by, at, cause: cause)
          end
        end

        private

        def with(number, by)
          Permissions.check!(:work, by)
          DB.transaction do
            job = Lookup.job(number, lock: true)
            OpenToLook.refuse_past(job)
            yield job
          end
        end

        def possible(complaint, job)
          known = Core::Faults::Complaints.fetch(complaint)
          raise Refused, "A #{job.sheet.title} cannot have that: #{known.words}." unless known.possible?(job.sheet)
        rescue KeyError
          raise NotFound, "There is no such complaint."
        end

        def known_cause(search, job, cause)
          LadderOfJob.of(search, job).search.cause_of(cause)
        rescue KeyError
          raise NotFound, "There is no such cause."
        end

        def open_of(job)
          Models::FaultSearch.under_way.first(job_id: job.id)
        end

        def open!(job)
          open_of(job) || raise(Refused, "Nobody is looking for a fault in job #{job.number}.")
        end

        def create(job, complaint, by, at)
          search = Models::FaultSearch.create(job_id: job.id, complaint: complaint, begun_by: by.id, begun_at: at)
          History.note("began to look for the fault", search, by: by, at: at, job: job, data: { complaint: complaint })
          search
        end

        def close(search, job, outcome, by, at, cause: nil)
          search.update(outcome: outcome, cause: cause, ended_by: by.id, ended_at: at)
          verb = outcome == "found" ? "found the fault" : "ended the search for the fault"
          History.note(verb, search, by: by, at: at, job: job, data: { cause: cause, outcome: outcome }.compact)
          search
        end
      end

      def initialize(job, search, by, at)
        @job = job
        @search = search
        @by = by
        @at = at
        @ladder = LadderOfJob.of(search, job)
      end

      def answer(key, result, cause)
        check = check_of(key)
        refuse_unknown(result)
        refuse_twice(check, result)
        refuse_after_found(check)
        return if answered(check) # sent again after a lost answer

        seen = cause_seen(check, cause) if result == "found" && !check.splits
        Models::FaultResult.create(fault_search_id: @search.id, check_key: key, result: result,
          cause: seen&.key, said_by: @by.id, said_at: @at, **written(check, result, seen))
      end

      private

      def check_of(key)
        @ladder.search.check_of(key)
      rescue KeyError
        raise NotFound, "There is no such check."
      end

      def refuse_unknown(result)
        return if Core::Faults::Belief::RESULTS.map(&:to_s).include?(result)

        raise Invalid, { base: ["There is no such answer."] }
      end

      # The job is locked, so that nobody else answers it meanwhile.
      def answered(check)
        @search.results.find { |row| row.check_key == check.key }
      end

      # Sent again after a lost answer, it stands; another answer does not.
      def refuse_twice(check, result)
        before = answered(check)
        return if before.nil? || before.result == result

        raise Refused, "#{check.name} was answered already: take that back first."
      end

      # What was found is answered for first: two faults are found one after the other.
      def refuse_after_found(check)
        return if @ladder.found.nil? || answered(check)

        raise Refused, "#{English::Faults.cause(@ladder.found.first)} was found already. Say first whether that was it."
      end

      def cause_seen(check, cause)
        shown = @ladder.causes.select { |one| check.shows.key?(one.key) }
        return shown.first unless cause

        shown.find { |one| one.key == cause } || raise(NotFound, "That check does not show that.")
      end

      # @return [Hash] where it wrote a finding, and what stood there before; empty where it wrote none
      def written(check, result, cause)
        place = cause ? cause.place : check.place
        return {} if place.nil? || !check.proves? || result == "cannot_tell"
        return {} if result == "clear" && check.tried? # nobody looked at the part

        stood = PlaceBefore.kept(@job, place)
        key = SecureRandom.uuid
        finding = record(place, cause, key)
        finding ? { position: place, finding_key: key, stood_before: Sequel.pg_jsonb_wrap(stood) } : {}
      end

      # @return [Models::Finding, nil] nil where what stands there says more than that it is clear
      def record(place, cause, key)
        before = Models::Finding.first(job_id: @job.id, position: place)
        return if cause.nil? && before

        observed = cause ? said(before, cause) : Core::Findings.fine(@job.sheet.position(place))
        RecordFinding.new(@job, place, observed: observed, version: before&.version || 0, by: @by, at: @at,
          fine: cause.nil?, request_key: key).call
      end

      def said(before, cause)
        (before&.seen || {}).merge(cause.fault.observed)
      end
    end
  end
end
