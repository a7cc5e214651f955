# frozen_string_literal: true

module UprightBench
  module Screens
    module LookOver
      # Where the walk stands: the job, the place in hand, what was found and skipped so far, and what was found last time.
      class Walk
        include Screens::Helpers::Found

        attr_reader :job, :policy

        # @param at [String, nil] a position's key; the first that nobody looked at when left out
        # @param form [FindingForm, nil] one that could not be saved, to be shown as typed
        # @param person [Models::Person] who looks at it
        def initialize(job, at:, now:, policies:, person:, form: nil)
          @job = job
          @at = at
          @now = now
          @policy = policies.findings
          @person = person
          @form = form
        end

        def sheet
          @job.sheet
        end

        # @return [Core::Sheets::Position] the one in hand
        def position
          @position ||= asked || unseen.first || sheet.walk.first
        end

        def station
          sheet.stations.find { |one| one.key == position.station }
        end

        # @return [Array<Core::Sheets::Position>] neither looked at nor skipped
        def unseen
          @unseen ||= sheet.walk.reject { |place| findings.key?(place.key) || skips.key?(place.key) }
        end

        # @return [Array<Models::Due>] what was due at a position before this visit
        def overdue(place)
          @overdue ||= drawn(Models::Due.running.where(machine_id: @job.machine_id)).where(Sequel[:due_on] <= Config::Zone.date(@now)).all.group_by(&:position)
          @overdue.fetch(place.key, [])
        end

        # Only these places will be drawn: nothing is read of the others.
        # @param places [Array<Core::Sheets::Position>]
        def draw_only(places)
          @drawn = places.map(&:key)
        end

        # @return [Models::Finding, nil] what was found there at the last visit that looked
        def last_time(place)
          last_findings[place.key]
        end

        # @return [FindingForm, nil] what was typed at this position and not saved
        def unsaved(place)
          @form if @form && @form.position.key == place.key
        end

        # What stands in the row: what was typed, else what is recorded, lengths in the shop's unit.
        def shown(place)
          return @form.typed.transform_keys(&:to_sym) if unsaved(place)

          FindingForm.written(place, findings[place.key]&.seen || {}, unit: @policy.length_unit)
        end

        # The version that the row was drawn from: a stale edit is refused, and saved when sent again after a look.
        def version(place)
          findings[place.key]&.version || 0
        end

        def open?
          Services::OpenToLook::STAGES.include?(@job.stage) && shut.nil?
        end

        # @return [Models::Stop, nil] what keeps the machine shut
        def shut
          @job.standing_stops.find(&:condition)
        end

        # @return [Array<Core::Work::Item>]
        def work
          @work ||= Core::Work::Plan.new(sheet: sheet, findings: findings.transform_values(&:to_core)).call
        end

        # @return [Integer] grows with everything that happens to the job; a page asks for what came after
        def stamp
          @stamp ||= Models::Event.where(job_id: @job.id).max(:id) || 0
        end

        # @param since [Integer] a stamp
        # @return [Array<String>] the places where something was recorded, cleared or skipped after it
        def changed(since)
          events = Models::Event.where(job_id: @job.id).where { id > since }.select_map([:id, Sequel.lit("data ->> 'position'").as(:position)])
          @stamp = [since, *events.map(&:first)].max
          events.filter_map(&:last).uniq
        end

        private

        def asked
          sheet.position(@at) if @at && sheet.position?(@at)
        end

        def last_findings
          @last_findings ||= drawn(Models::Finding.of_last_visits(@job), Sequel[:findings][:position]).to_h { |finding| [finding.position, finding] }
        end

        def drawn(rows, position = :position)
          @drawn ? rows.where(position => @drawn) : rows
        end
      end
    end
  end
end
