# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A rough sheet to begin with: the air path that a kind of machine usually has (common practice), with what is
      # certain of any of its kind and nothing that only a maker could know: whether a filter may be washed, it does not
      # say.
      module Starter
        STICK = { stations: [%w[head Head], %w[wand Wand], %w[bin Bin], %w[filter Filter], %w[motor Motor]],
                  positions: [["roll", "Brush roll", "head", "roll"], ["neck", "Neck", "head", "path"],
                              ["wand", "Wand", "wand", "path"],
                              ["contacts", "Contacts", "wand", "contacts", true], ["bin", "Bin", "bin", "bin"],
                              ["bin-seal", "Bin seal", "bin", "seal", true],
                              ["filter", "Filter", "filter", "filter"], ["motor", "Motor", "motor", "motor"],
                              ["battery", "Battery pack", "motor", "battery", true]] }.freeze
        CANISTER = { stations: [["tool", "Floor tool"], %w[wand Wand], %w[hose Hose], ["bag", "Bag chamber"],
                                %w[motor Motor], %w[exhaust Exhaust]],
                     positions: [["tool-neck", "Tool neck", "tool", "path"], ["wand", "Wand", "wand", "path"],
                                 ["hose", "Hose", "hose", "path"],
                                 ["bag", "Bag", "bag", "bag"], ["lid-seal", "Lid seal", "bag", "seal", true],
                                 ["motor-filter", "Motor filter", "motor", "filter"],
                                 ["motor", "Motor", "motor", "motor"], ["lead", "Mains lead", "motor", "lead", true],
                                 ["exhaust-filter", "Exhaust filter", "exhaust", "filter"]] }.freeze
        UPRIGHT = { stations: [%w[head Head], %w[neck Neck], %w[hose Hose], ["dust", "Bag or bin"], %w[motor Motor],
                               %w[exhaust Exhaust]],
                    positions: [["roll", "Brush roll", "head", "roll"], ["belt", "Belt", "head", "belt"],
                                ["neck", "Neck", "neck", "path"],
                                ["hose", "Hose", "hose", "path"], ["dust", "Bag or bin", "dust", "bin"],
                                ["dust-seal", "Door or bin seal", "dust", "seal", true],
                                ["pre-filter", "Pre-motor filter", "motor", "filter"],
                                ["motor", "Motor", "motor", "motor"],
                                ["lead", "Mains lead", "motor", "lead", true],
                                ["exhaust-filter", "Exhaust filter", "exhaust", "filter"]] }.freeze
        ROBOT = { stations: [["floor", "Floor side"], %w[bin Bin], %w[filter Filter], %w[motor Motor], %w[dock Dock]],
                  positions: [["main-brush", "Main brush", "floor", "roll"],
                              ["side-brush", "Side brush", "floor", "side_brush", true],
                              ["wheels", "Wheels", "floor", "wheels", true], ["bin", "Bin", "bin", "bin"],
                              ["filter", "Bin filter", "filter", "filter"],
                              ["motor", "Motor", "motor", "motor"], [
                                "contacts", "Charging contacts", "motor", "contacts", true
                              ],
                              ["battery", "Battery pack", "motor", "battery", true], ["dock", "Dock", "dock", "dock"]] }
          .freeze
        DRUM = { stations: [["tool", "Floor tool"], %w[hose Hose], %w[drum Drum], %w[textile Filter],
                            ["motor", "Motor head"]],
                 positions: [["hose", "Hose", "hose", "path"], ["inlet", "Drum inlet", "drum", "path"],
                             ["bag", "Bag", "drum", "bag"],
                             ["lid-seal", "Drum lid seal", "drum", "seal", true],
                             ["filter", "Filter", "textile", "filter"], ["motor", "Motor", "motor", "motor"],
                             ["lead", "Mains lead", "motor", "lead", true]] }.freeze
        BY_KIND = { upright: UPRIGHT, canister: CANISTER, stick: STICK, robot: ROBOT, drum: DRUM }.freeze
        POWER = { upright: :mains, canister: :mains, stick: :battery, robot: :battery, drum: :mains }.freeze
        # What usually comes with a machine of a kind.
        ACCESSORIES = { upright: ["hand wand", "crevice tool"], canister: ["wand", "floor tool", "crevice tool"],
                        stick: ["wand", "charger", "crevice tool"], robot: %w[dock],
                        drum: ["wand", "floor tool", "hose"] }.freeze
        UNKNOWN = "unknown"

        module_function

        # @param kind [Symbol] of Sheet::KINDS
        # @param dust [Symbol, nil] :bag or :bin, where it was looked at
        # @param power [Symbol, nil] :mains or :battery, where it is not the usual of its kind
        # @param roll [Symbol, nil] :bristle or :soft, where it was looked at
        # @return [Hash{String=>Object}] as Parse takes it
        # @raise [KeyError] for an unknown kind
        def content(kind:, maker:, model:, dust: nil, power: nil, roll: nil)
          plan = BY_KIND.fetch(kind)
          places = collecting(powered(plan.fetch(:positions), power), dust)
          { "format" => Shape::FORMAT, "maker" => maker, "model" => model, "kind" => kind.to_s, "family" => UNKNOWN,
            "body_style" => UNKNOWN,
            "power" => (power || POWER.fetch(kind)).to_s, "warranty_months" => 0, "rough" => true,
            "accessories" => ACCESSORIES.fetch(kind),
            "stations" => plan.fetch(:stations).map { |key, name| { "key" => key, "name" => name } },
            "positions" => places.map { |row| rolled(position(*row), roll) } }
        end

        # A soft roll may be washed or not; bristles are cut free, and nothing more.
        def rolled(place, roll)
          return place unless roll == :soft && place["kind"] == "roll"

          place.merge("material" => "soft fibre", "water" => UNKNOWN)
        end

        # A bag or a bin, in the place where the dust collects.
        def collecting(rows, dust)
          return rows if dust.nil?

          rows.map do |key, name, station, kind, *beside|
            next [key, name, station, kind, *beside] unless %w[bag bin].include?(kind)

            [key, dust.to_s.capitalize, station, dust.to_s, *beside]
          end
        end

        # A lead for the mains; for a pack the pack and its contacts.
        def powered(rows, power)
          case power
          when :battery then rows.flat_map { |row| row[3] == "lead" ? pack(row[2]) : [row] }
          when :mains
            rows.reject { |row| row[3] == "contacts" }.map { |row| row[3] == "battery" ? lead(row[2]) : row }
          else rows
          end
        end

        def pack(station)
          [["contacts", "Contacts", station, "contacts", true], ["battery", "Battery pack", station, "battery", true]]
        end

        def lead(station)
          ["lead", "Mains lead", station, "lead", true]
        end
        private_class_method :rolled, :collecting, :powered, :pack, :lead

        def position(key, name, station, kind, *beside)
          { "key" => key, "name" => name, "station" => station, "kind" => kind }
            .merge(beside.any? ? { "beside" => true } : {})
            .merge(Kinds.fetch(kind.to_sym).trait?(:some_are_washed) ? { "water" => UNKNOWN } : {})
        end
        private_class_method :position
      end
    end
  end
end
