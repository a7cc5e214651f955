# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What must hold of a whole sheet, beyond what each position checks of itself.
      class Rules
        CHECKS = %i[known_kind known_power some_path unique_stations unique_positions stations_exist one_refit_order].freeze

        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Array<String>] one sentence for each broken rule
        def problems
          CHECKS.flat_map { |check| Array(send(check)) }
        end

        private

        def known_kind
          "kind #{@sheet.kind} is none of #{Sheet::KINDS.join(', ')}" unless Sheet::KINDS.include?(@sheet.kind)
        end

        def known_power
          "power is mains or battery" unless Sheet::POWERS.include?(@sheet.power)
        end

        def some_path
          "a sheet needs at least two stations" if @sheet.stations.size < 2
        end

        def unique_stations
          repeated(@sheet.stations.map(&:key)).map { |key| "station #{key} stands twice" }
        end

        def unique_positions
          repeated(@sheet.positions.map(&:key)).map { |key| "position #{key} stands twice" }
        end

        def stations_exist
          keys = @sheet.stations.map(&:key)
          @sheet.positions.reject { |position| keys.include?(position.station) }
                .map { |position| "position #{position.key}: no station #{position.station}" }
        end

        def one_refit_order
          repeated(@sheet.positions.filter_map(&:refit_order)).map { |order| "refit order #{order} is given twice" }
        end

        def repeated(keys)
          keys.tally.select { |_, times| times > 1 }.keys
        end
      end
    end
  end
end
