# frozen_string_literal: true

module UprightBench
  module Screens
    module LookOver
      # Where the walk stands: the job, the station in hand, and what was found so far.
      class Walk
        include Screens::Helpers::Found

        attr_reader :job, :policy

        # @param at [String, nil] a position's key; the first that nobody looked at when left out
        # @param form [FindingForm, nil] one that could not be saved, to be shown as typed
        def initialize(job, at:, now:, policies:, form: nil)
          @job = job
          @at = at
          @now = now
          @policy = policies.findings
          @form = form
        end

        def sheet
          @job.sheet
        end

        # @return [Core::Sheets::Position] the one in hand
        def position
          @position ||= asked || sheet.walk.find { |place| !findings.key?(place.key) } || sheet.walk.first
        end

        def station
          sheet.stations.find { |one| one.key == position.station }
        end

        def places
          sheet.at(station.key)
        end

        # @return [Array<Models::Due>] what was due at a position before this visit
        def overdue(place)
          @overdue ||= Models::Due.running.where(machine_id: @job.machine_id).where(Sequel[:due_on] <= Config::Zone.date(@now)).all.group_by(&:position)
          @overdue.fetch(place.key, [])
        end

        # @return [FindingForm, nil] what was typed at this position and not saved
        def unsaved(place)
          @form if @form && @form.position.key == place.key
        end

        # What stands in the row: what was typed, else what is recorded.
        def shown(place)
          return @form.typed.transform_keys(&:to_sym) if unsaved(place)

          findings[place.key]&.seen || {}
        end

        # The version that the row was drawn from: a stale edit is refused, and saved when sent again after a look.
        def version(place)
          findings[place.key]&.version || 0
        end

        # @return [Core::Sheets::Position, nil] after the last of this station
        def after_station
          walk = sheet.walk
          walk[walk.index(places.last) + 1]
        end

        def open?
          Services::RecordFinding::OPEN_STAGES.include?(@job.stage)
        end

        def work
          Core::Work::Plan.new(sheet: sheet, findings: findings.transform_values(&:to_core)).call
        end

        private

        def asked
          sheet.position(@at) if @at && sheet.position?(@at)
        end
      end
    end
  end
end
