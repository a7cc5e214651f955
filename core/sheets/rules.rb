# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What must hold of a whole sheet, beyond what each position checks of itself.
      class Rules
        include Repeated

        NAMES = %i[known_kind known_power some_path known_ratings unique_stations unique_positions stations_exist
                   named_places_exist].freeze
        MEANINGS = %i[one_in_a_seat never_stacked never_itself kits_hold kits_match_clocks].freeze
        RATED = %w[suction_kpa flow_l_s fan_exponent].freeze

        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Array<Problem>] one for each broken rule
        def problems
          # Meanings follow names, which must lead somewhere
          named = broken(NAMES) + steps.names
          named.empty? ? broken(MEANINGS) + steps.meanings + FaultRules.new(@sheet).problems : named
        end

        private

        def steps
          @steps ||= StepRules.new(@sheet)
        end

        def broken(checks)
          checks.flat_map { |check| Array(send(check)) }
        end

        def say(words, *path)
          Problem.new(path: path, words: words)
        end

        def at(position)
          ["positions", @sheet.positions.index(position)]
        end

        def known_kind
          return if Sheet::KINDS.include?(@sheet.kind)

          say("kind #{@sheet.kind} is none of #{Sheet::KINDS.join(', ')}", "kind")
        end

        def known_power
          say("power is mains or battery", "power") unless Sheet::POWERS.include?(@sheet.power)
        end

        def some_path
          say("a sheet needs at least two stations", "stations") if @sheet.stations.size < 2
        end

        def known_ratings
          (@sheet.rated.keys - RATED).map { |key| say("#{key} is none of #{RATED.join(', ')}", "rated", key) }
        end

        def unique_stations
          repeated(@sheet.stations, &:key).map do |station|
            say("station #{station.key} stands twice", "stations", @sheet.stations.index(station))
          end
        end

        def unique_positions
          repeated(@sheet.positions, &:key).map do |position|
            say("position #{position.key} stands twice", *at(position))
          end
        end

        def stations_exist
          keys = @sheet.stations.map(&:key)
          @sheet.positions.reject { |position| keys.include?(position.station) }
            .map { |position| say("no station #{position.station}", *at(position), "station") }
        end

        def named_places_exist
          @sheet.positions.flat_map do |position|
            named = { "refit_before" => position.refit_before, "never_without" => [position.never_without].compact }
            named.flat_map do |field, keys|
              keys.reject { |key| @sheet.position?(key) }.map { |key| say("no position #{key}", *at(position), field) }
            end
          end
        end

        # Several share a seat only as layers of one stack, each with its own place.
        def one_in_a_seat
          shared.filter_map do |here|
            next if here.none? { |place| place.layer.nil? } && repeated(here, &:layer).empty?

            say("#{here.map(&:key).join(' and ')} sit in one place: give each its layer", *at(here.last), "seat")
          end
        end

        def never_stacked
          shared.flat_map do |here|
            here.select(&:alone).map do |place|
              say("#{place.key} must not be stacked with #{(here - [place]).map(&:key).join(', ')}", *at(place),
                "alone")
            end
          end
        end

        def never_itself
          @sheet.positions.select { |position| position.never_without == position.key }
            .map { |position| say("#{position.key} cannot need itself", *at(position), "never_without") }
        end

        def kits_hold
          each_content do |_, key, path|
            say("a kit holds #{key}, and there is no such position", *path) unless @sheet.position?(key)
          end
        end

        # A box with four bags and one motor filter means a filter every four bags.
        def kits_match_clocks
          each_content do |kit, key, path|
            limit = bags_on_clock(key)
            bags = bags_in(kit)
            next unless limit && bags.positive? && bags != limit * kit.contains[key]

            says = "its clock says one every #{limit} bags"
            say("the kit holds #{bags} bags for #{kit.contains[key]} of #{key}, #{says}", *path)
          end
        end

        # @return [Numeric, nil] the limit of the clock at a place that counts bags
        def bags_on_clock(key)
          clocks = @sheet.position?(key) ? @sheet.position(key).tasks.flat_map(&:clocks) : []
          clocks.find { |clock| clock.kind == :count && clock.of == "bags" }&.limit
        end

        def bags_in(kit)
          kit.contains.sum { |key, pieces| @sheet.position?(key) && @sheet.position(key).kind == :bag ? pieces : 0 }
        end

        def each_content
          @sheet.kits.each_with_index.flat_map do |kit, index|
            kit.contains.keys.filter_map { |key| yield kit, key, ["kits", index, "contains", key] }
          end
        end

        def shared
          @sheet.positions.select(&:seat).group_by { |position| [position.station, position.seat] }
            .values.select { |here| here.size > 1 }
        end
      end
    end
  end
end
