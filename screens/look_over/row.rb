# frozen_string_literal: true

module UprightBench
  module Screens
    module LookOver
      # One place of the walk as its row shows it.
      class Row
        CONFIDENCE = { "high" => "sure", "fair" => "fairly sure", "low" => "a judgement" }.freeze

        # A button by which somebody sets their own verdict; pressed again it goes back to the rule's.
        VerdictButton = Struct.new(:kind, :digit, :id, :value, :pressed, :disabled, :dry_only, keyword_init: true)

        attr_reader :place

        # @param walk [Walk]
        # @param place [Core::Sheets::Position]
        def initialize(walk, place)
          @walk = walk
          @place = place
        end

        def key
          @place.key
        end

        def path
          "/jobs/#{@walk.job.number}"
        end

        def skip_path
          "#{path}/skips/#{key}"
        end

        def finding
          @walk.findings[key]
        end

        def skip
          @walk.skips[key]
        end

        def open?
          @walk.open?
        end

        def skippable?
          open? && finding.nil? && skip.nil?
        end

        # The version that the row was drawn from: a stale edit is refused, and saved when sent again after a look.
        def version
          finding&.version || 0
        end

        # @return [String, nil] a person's own verdict, kept while other fields change
        def own_verdict
          finding.verdict if finding&.own_verdict && !unsaved
        end

        # @return [Symbol, String] of Drawings::Mark
        def mark
          return finding.verdict if finding

          skip&.not_fitted? ? :unfitted : :unseen
        end

        def verdict_buttons
          Core::Findings::VerdictKind::ALL.each_with_index.map { |kind, index| verdict_button(kind, index + 1) }
        end

        def verdict_words
          Core::Findings::VerdictKind.of(finding.verdict).words
        end

        def confidence
          CONFIDENCE.fetch(finding.confidence)
        end

        def found_by
          @walk.name_of(finding.found_by)
        end

        def skipped_by
          @walk.name_of(skip.skipped_by)
        end

        # @return [Array<Models::Due>] what was due here before this job
        def overdue
          @walk.overdue(@place)
        end

        # @return [Boolean] whether nobody knows since when the part is in
        def age_asked?
          open? && @walk.age_asked?(@place)
        end

        # @return [Date, nil] since when it would be in if it was never changed
        def bought_on
          @walk.job.machine.bought_on
        end

        def fitted_path
          "#{path}/fitted/#{key}"
        end

        # @return [Models::Finding, nil] what was found here in the last job that looked
        def last
          @walk.last_time(@place)
        end

        # @return [Array<RowField>] the part's own
        def fields
          fields_of(Core::Findings.fields(@place))
        end

        # @return [Array<RowField>] what may be seen anywhere
        def more_fields
          @more_fields ||= fields_of(@place.kind_of_part.anywhere)
        end

        # @return [Boolean] something of that is recorded, or was typed wrong
        def more_seen?
          more_fields.any? { |field| !field.value.to_s.empty? || field.errors.any? }
        end

        # @return [FindingForm, nil] what was typed here and not saved
        def unsaved
          @walk.unsaved(@place)
        end

        def gauge
          Drawings::Gauge.new(position: @place, observed: finding&.seen || {}, policy: @walk.policy).render
        end

        # @return [String, nil] what is done before it is reached, while nobody has looked
        def reached_by
          return if finding

          steps = @walk.ways.to([@place.key]).map { |step| step.name.downcase }
          "First: #{steps.join(', then ')}." if steps.any?
        end

        private

        def fields_of(fields)
          fields.map { |name, field| RowField.new(self, name, field, shown[name], unit: @walk.policy.length_unit) }
        end

        # What was typed, else what is recorded, lengths in the shop's unit.
        def shown
          @shown ||= if unsaved
                       unsaved.typed.transform_keys(&:to_sym)
                     else
                       FindingForm.written(@place, finding&.seen || {}, unit: @walk.policy.length_unit)
                     end
        end

        def verdict_button(kind, digit)
          name = kind.key.to_s
          pressed = finding&.verdict == name
          dry_only = kind.key == :wash && !@place.may_be_wetted?
          VerdictButton.new(kind: kind, digit: digit, id: "verdict-#{key}-#{name}", pressed: pressed,
            dry_only: dry_only,
            value: finding&.own_verdict && pressed ? "" : name, disabled: !open? || dry_only)
        end
      end
    end
  end
end
