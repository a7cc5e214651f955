# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A model sheet: the air path of a model from floor to exhaust and every serviceable position on it.
      # `rough` marks one that was begun at the counter and is still to be completed. `rated` are the readings of a
      # new machine (suction_kpa at the inlet, flow_l_s, fan_exponent); `accessories` is what comes with it;
      # `runs_without_filter` is nil where the handbook does not say; `tests` are tried at the end of every job, besides
      # what is tried at any machine.
      class Sheet
        include Value

        fields :maker, :model, :kind, :family, :body_style, :power, :warranty_months, :stations, :positions,
          steps: [], tests: [],
          warranty_hours: nil, rough: false, rated: {}, accessories: [], kits: [], runs_without_filter: nil

        KINDS = %i[upright canister stick robot drum].freeze
        POWERS = %i[mains battery].freeze

        # @return [String] the maker and model, as spoken
        def title
          "#{maker} #{model}"
        end

        # @raise [KeyError] when the sheet has no such position
        def position(key)
          @by_key.fetch(key) { raise KeyError, "no position #{key} on #{title}" }
        end

        def position?(key)
          @by_key.key?(key)
        end

        # @return [Clocks::Task, nil] nil when there is no such place or no such task at it
        def task(place_key, task_key)
          @by_key[place_key]&.task(task_key)
        end

        # @!attribute walk
        #   @return [Array<Position>] in the order of a look-over: along the air path, what hangs beside it after what
        #     sits in it
        attr_reader :walk

        # @return [Array<Position>] what sits at a station, in the path first
        def at(station_key)
          @by_station.fetch(station_key, [])
        end

        # @return [Step]
        # @raise [KeyError]
        def step(key)
          @by_step.fetch(key) { raise KeyError, "no step #{key} on #{title}" }
        end

        def step?(key)
          @by_step.key?(key)
        end

        # @param key [String] of a step
        # @return [Array<String>] keys of all steps that come before it; itself among them when they run in a loop
        def before(key, found = [])
          step(key).after.each do |other|
            next if found.include?(other)

            found << other
            before(other, found)
          end
          found
        end

        # @return [Array<Step>] each of which opens a place; none where it is open anyway
        def openers(place_key)
          @openers.fetch(place_key, [])
        end

        private

        # Pages look places up hundreds of times.
        def check
          look_up_places
          look_up_steps
          problems = Rules.new(self).problems
          raise Invalid, problems if problems.any?
        end

        def look_up_places
          @by_key = positions.to_h { |position| [position.key, position] }.freeze
          @by_station = positions.group_by(&:station).transform_values { |here| in_path_first(here) }.freeze
          @walk = stations.flat_map { |station| at(station.key) }.freeze
        end

        def look_up_steps
          @by_step = steps.to_h { |step| [step.key, step] }.freeze
          opened = steps.flat_map { |step| step.opens.map { |place| [place, step] } }
          @openers = opened.group_by(&:first).transform_values { |pairs| pairs.map(&:last).freeze }.freeze
        end

        def in_path_first(here)
          here.partition { |position| !position.beside }.flatten.freeze
        end
      end
    end
  end
end
