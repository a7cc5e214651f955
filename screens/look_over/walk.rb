# frozen_string_literal: true

require "forwardable"

module UprightBench
  module Screens
    module LookOver
      # Where the walk stands: the job, the place in hand, what was found and skipped so far, and what was found last
      # time.
      class Walk
        extend Forwardable

        attr_reader :job, :policy

        def_delegators :@record, :findings, :skips, :marks, :notes, :name_of, :overdue, :age_asked?, :last_time, :stamp,
          :changed

        # @param at [String, nil] a position's key; the first that nobody looked at when left out
        # @param form [FindingForm, nil] one that could not be saved, to be shown as typed
        # @param person [Models::Person] who looks at it
        def initialize(job, at:, now:, policies:, person:, form: nil)
          @job = job
          @at = at
          @policy = policies.findings
          @record = Queries::LookOver.new(job, person: person, today: Config::Zone.date(now))
          @form = form
        end

        # @return [Core::Strip::Ways]
        def ways
          @ways ||= Core::Strip::Ways.new(sheet)
        end

        def sheet
          @job.sheet
        end

        # @return [Core::Sheets::Position] the one in hand
        def position
          @position ||= asked || unseen.first || sheet.walk.first
        end

        def station
          station_of(position)
        end

        # @param place [Core::Sheets::Position]
        # @return [Row]
        def row(place)
          Row.new(self, place)
        end

        # @return [Core::Sheets::Position, nil] where the walk goes on after a station
        def first_of_next(station)
          last = sheet.at(station.key).last
          last && sheet.walk[sheet.walk.index(last) + 1]
        end

        # @return [Core::Sheets::Station, nil]
        def next_station(station)
          following = first_of_next(station)
          following && station_of(following)
        end

        def path_to(place)
          "/jobs/#{@job.number}/look-over?at=#{place.key}"
        end

        # @return [String] the ribbon, the place in hand marked on it
        def ribbon
          Drawings::Ribbon.new(sheet: sheet, marks: marks, notes: notes, current: position.key,
            link: ->(key) { "/jobs/#{@job.number}/look-over?at=#{key}" }).render
        end

        # @return [String, nil] as in " and 3 more", beyond those that are named
        def more_unseen(named)
          " and #{unseen.size - named} more" if unseen.size > named
        end

        # @return [Array<Core::Sheets::Position>] neither looked at nor skipped
        def unseen
          @unseen ||= sheet.walk.reject { |place| findings.key?(place.key) || skips.key?(place.key) }
        end

        # Only these places will be drawn.
        # @param places [Array<Core::Sheets::Position>]
        def draw_only(places)
          @record.only(places)
        end

        # @return [FindingForm, nil] what was typed at this position and not saved
        def unsaved(place)
          @form if @form && @form.position.key == place.key
        end

        # Asked for every field of every place.
        def open?
          @open = @job.recordable? && shut.nil? if @open.nil?
          @open
        end

        # @return [Models::Stop, nil] what keeps the machine shut
        def shut
          @shut ||= @job.standing_stops.find(&:condition)
        end

        # @return [Array<Core::Work::Item>]
        def work
          @work ||= Core::Work::Plan.new(sheet: sheet, findings: findings.transform_values(&:to_core)).call
        end

        private

        def station_of(place)
          sheet.stations.find { |station| station.key == place.station }
        end

        def asked
          sheet.position(@at) if @at && sheet.position?(@at)
        end
      end
    end
  end
end
