# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A model sheet: the air path of a model from floor to exhaust and every serviceable position on it.
      # `rough` marks one that was begun at the counter and is still to be completed. `rated` are the readings of a
      # new machine (suction_kpa at the inlet, flow_l_s, fan_exponent); `accessories` is what comes with it;
      # `runs_without_filter` is nil where the handbook does not say.
      class Sheet
        include Value

        fields :maker, :model, :kind, :family, :body_style, :power, :warranty_months, :stations, :positions,
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

        # @return [Array<Position>] the first to go back first
        def refit_order
          RefitOrder.new(self).call
        end

        private

        # Pages look places up hundreds of times.
        def check
          @by_key = positions.to_h { |position| [position.key, position] }.freeze
          @by_station = positions.group_by(&:station).transform_values { |here| in_path_first(here) }.freeze
          @walk = stations.flat_map { |station| at(station.key) }.freeze
          problems = Rules.new(self).problems
          raise Invalid, problems if problems.any?
        end

        def in_path_first(here)
          here.partition { |position| !position.beside }.flatten.freeze
        end
      end
    end
  end
end
