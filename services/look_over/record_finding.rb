# frozen_string_literal: true

module UprightBench
  module Services
    # Saves what was seen at a position, with the verdict the core draws from it.
    class RecordFinding
      # @param number [Integer] the job's
      # @param position [String] a key of the job's sheet
      # @param observed [Hash{Symbol=>Object}] fields of the place's Core::Kind
      # @param verdict [Symbol, nil] the person's own, over what the rule says
      # @param version [Integer] the version that was on the screen; 0 for none
      # @param policy [Core::Findings::Policy] the shop's, when the caller has read it
      # @param request_key [String, nil] a UUID of this save: sent again after a lost answer, it is saved once
      # @return [Models::Finding, nil] nil when everything was cleared
      # @raise [Stale] when somebody else saved in the meantime
      # @raise [Refused] for a wash of what must not be wetted, when a stop keeps the machine shut, or the job is past
      #   recording
      # @yieldparam job [Models::Job] locked, where what was seen can be told only by its sheet
      # @yieldreturn [Hash] observed, version, verdict and request_key
      def self.call(number, position, by:, at:, **seen)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          seen = seen.merge(yield(job)) if block_given?
          new(job, position, by: by, at: at, **seen).call
        end
      end

      # Also for a job that the caller has locked.
      # @param fine [Boolean] it was said to be fine with all the rest: so it stands until something is recorded
      # @param seen [Array(Models::Person, Time)] who saw it and when, where that is put back later
      def initialize(job, position, observed:, version:, by:, at:, verdict: nil, fine: false, request_key: nil,
        policy: nil, seen: [by, at])
        @job = job
        @policy = policy
        OpenToLook.check(job, position)
        @request_key = request_key
        @position = job.sheet.position(position)
        @observed = observed
        @own = verdict
        @fine = fine
        @version = version
        @by = by
        @at = at
        @seen = seen
      end

      def call
        before = Models::Finding.first(job_id: @job.id, position: @position.key)
        return before if @request_key && before&.request_key == @request_key

        refuse_stale(before)
        refuse_water
        verdict = settled_verdict
        saved = verdict ? save(before, verdict) : clear(before)
        learn(before, saved)
        Models::Skip.where(job_id: @job.id, position: @position.key).delete if verdict
        KeepStop.call(@job, @position, verdict, by: @by, at: @at)
        PlanWork.call(@job, by: @by) unless @job.to_look_over?
        saved
      end

      private

      def refuse_stale(before)
        return if (before&.version || 0) == @version

        who = before ? "#{before.finder.name} recorded “#{before.reason}”" : "The finding was cleared"
        raise Stale, "#{who} in the meantime. Yours was not saved; look at both and save again."
      end

      def refuse_water
        return unless @own == :wash && !@position.may_be_wetted?

        raise Refused, "#{@position.name} must not be wetted: choose clean or replace."
      end

      # The person's verdict wins, and the rule's own answer stays in the reason.
      def settled_verdict
        rule = Core::Findings::Read.new(position: @position, observed: @observed, background: background).call
        return rule || (looked_fine if @fine || @own == :leave) if overrules_nothing?(rule)

        Core::Findings::Verdict.new(kind: @own, confidence: :low, stop: rule&.stop || false,
          reason: Core::Reason.of(:own_verdict, name: @seen.first.name, kind: rule&.kind, rule: rule&.reason))
      end

      def overrules_nothing?(rule)
        @own.nil? || @own == rule&.kind || (@own == :leave && rule.nil?)
      end

      def looked_fine
        Core::Findings::Verdict.new(kind: :leave, reason: Core::Reason.of(:looked_fine))
      end

      # The sentence as it was read on that day, and what it was made of.
      def told(reason)
        stored = reason.to_stored
        { reason: English::Sentences.of(reason, unit: policy.length_unit), clause: stored.delete("key"),
          figures: Sequel.pg_jsonb(stored) }
      end

      # The raw material of a household's own factor: how far gone it is, and how far gone it should be by the clock.
      def wear
        action, load = Core::Findings::Loads.new(@position, @observed, policy: policy).telling
        return { wear_found: nil, wear_expected: nil, wear_at_least: false } unless load

        { wear_found: [load.share, Core::Findings::Load::HARDLY].max, wear_at_least: load.at_least,
          wear_expected: expected(action) }
      end

      # By the clock of the action that the finding ages.
      def expected(action)
        due = Models::Due.running.where(machine_id: @job.machine_id, position: @position.key, action: action.to_s)
          .exclude(due_on: nil).first
        return unless due

        Core::Findings::Wear.expected(**due.values.slice(:started_on, :due_on, :load_on), load: due.load&.to_f,
          personal: due.personal.to_f, today: Config::Zone.date(@at))
      end

      # From what was seen now, or no longer.
      def learn(before, saved)
        telling = [before, saved].compact.any? { |finding| finding.wear_found || finding.seen.key?(:indicator_percent) }
        Models::WearHistory.draw_again(@job.machine_id, @position.key) if telling
      end

      def policy
        @policy ||= Policies.now.findings
      end

      # What the reader of this kind of part asks for, and no more.
      def background
        today = Config::Zone.date(@at)
        asks = @position.kind_of_part.asks_for
        if asks.intersect?(%i[wash_count fitted_on])
          fitting = Models::Fitting.in_place.first(machine_id: @job.machine_id, position: @position.key)
        end
        use = @job.machine.use_rate(today).mean if asks.include?(:hours_per_week)
        Core::Findings::Background.new(policy: policy, wash_count: fitting&.wash_count || 0, today: today,
          fitted_on: fitting&.fitted_on, hours_per_week: use)
      end

      def save(before, verdict)
        fields = fields_of(verdict)
        saved = if before
                  before.update(**fields, version: before.version + 1)
                else
                  Models::Finding.create(**fields, job_id: @job.id, position: @position.key)
                end
        History.note("found", saved, by: @by, at: @at, job: @job,
          data: { position: @position.key, observed: @observed, verdict: verdict.kind })
        saved
      end

      def fields_of(verdict)
        { observed: Sequel.pg_jsonb(@observed), verdict: verdict.kind.to_s, own_verdict: !@own.nil?,
          confidence: verdict.confidence.to_s, also: Sequel.pg_array(verdict.also.map(&:to_s), :text),
          found_by: @seen.first.id, found_at: @seen.last, request_key: @request_key, **told(verdict.reason), **wear }
      end

      def clear(before)
        return if before.nil?

        History.note("cleared finding", before, by: @by, at: @at, job: @job, data: { position: @position.key })
        before.delete
        nil
      end
    end
  end
end
