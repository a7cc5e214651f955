# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # The shape of a sheet as plain data: which keys there are, which are needed, and what each holds.
      # What the values mean together is for Rules. docs/sheet.schema.json says the same for others.
      module Shape
        FORMAT = "upright-bench/sheet/2"

        # key => [what it holds, whether it is needed]
        SHEET = {
          "format" => [:words, true], "maker" => [:words, true], "model" => [:words, true], "kind" => [:words, true],
          "family" => [:words, true],
          "body_style" => [:words, true], "power" => [:words, true], "warranty_months" => [:count, true],
          "warranty_hours" => [:amount, false],
          "rough" => [:flag, false], "rated" => [:amounts, false], "accessories" => [:words_list, false],
          "kits" => [:list, false], "runs_without_filter" => [:flag, false], "tests" => [:words_list, false],
          "stations" => [:list, true], "positions" => [:list, true], "steps" => [:list, false]
        }.freeze
        STATION = { "key" => [:key, true], "name" => [:words, true] }.freeze
        KIT = { "name" => [:words, true], "contains" => [:counts, true] }.freeze
        POSITION = {
          "key" => [:key, true], "name" => [:words, true], "station" => [:key, true], "kind" => [:words, true],
          "beside" => [:flag, false],
          "material" => [:words, false], "water" => [:words, false], "cleaner" => [:words, false],
          "tap_out" => [:flag, false], "care" => [:words, false], "care_of" => [:words_map, false],
          "drying_floor_hours" => [:amount, false], "turn_halfway" => [:flag, false],
          "blow_out" => [:flag, false],
          "minutes" => [:amount, false], "attributes" => [:attributes, false],
          "measures" => [:amounts, false],
          "features" => [:words_list, false], "tasks" => [:list, false],
          "refit_before" => [:words_list, false], "seat" => [:words, false], "layer" => [:amount, false],
          "alone" => [:flag, false],
          "never_without" => [:key, false], "caution" => [:words, false],
          "look" => [:words, false], "sign" => [:words, false], "tool" => [:words, false],
          "shares" => [:list, false], "lights" => [:list, false]
        }.freeze
        SHARE = { "complaint" => [:words, true], "fault" => [:words, true], "percent" => [:amount, true] }.freeze
        LIGHT = { "color" => [:words, true], "way" => [:words, true], "count" => [:count, false],
                  "means" => [:words, false], "fault" => [:words, true] }.freeze
        TASK = { "key" => [:key, true], "action" => [:words, true], "card" => [:flag, false],
                 "clocks" => [:list, true] }.freeze
        CLOCK = { "kind" => [:words, true], "limit" => [:amount, true],
                  "goes_by" => [:words, false], "of" => [:words, false],
                  "each_hours" => [:amount, false],
                  "each_months" => [:amount, false] }.freeze
        STEP = {
          "key" => [:key, true], "name" => [:words, true], "after" => [:words_list, false],
          "takes_off" => [:words_list, false], "opens" => [:words_list, false], "fasteners" => [:list, false],
          "may_lift" => [:words_list, false], "connectors" => [:words_list, false], "safe" => [:words, false],
          "orientation" => [:words, false], "tight" => [:words, false], "never" => [:words, false],
          "minutes" => [:amount, false], "tool" => [:words, false], "caution" => [:words, false],
          "beyond_handbook" => [:flag, false], "refit_before" => [:words_list, false], "outline" => [:words, false]
        }.freeze
        FASTENER = { "count" => [:amount, true], "kind" => [:words, false], "driver" => [:words, false],
                     "length_mm" => [:amount, false], "diameter_mm" => [:amount, false],
                     "turns" => [:amount, false], "direction" => [:words, false],
                     "note" => [:words, false], "at" => [:points, false] }.freeze

        KEY = /\A[a-z0-9]+(-[a-z0-9]+)*\z/
        LONGEST = 1000
        MOST = 200

        # what => [how to tell, how to say it]
        TYPES = {
          words: [->(value) { words?(value) }, "must be words"],
          key: [->(value) { value.is_a?(String) && value.match?(KEY) && value.size <= 60 },
                "must be small letters, digits and dashes"],
          count: [->(value) { value.is_a?(Integer) && value >= 0 }, "must be a whole number"],
          amount: [->(value) { amount?(value) }, "must be a number above 0"],
          flag: [->(value) { [true, false].include?(value) }, "must be true or false"],
          list: [->(value) { value.is_a?(Array) && value.size <= MOST && value.all?(Hash) },
                 "must be a list of objects"],
          words_list: [->(value) { value.is_a?(Array) && value.size <= MOST && value.all? { |text| words?(text) } },
                       "must be a list of words"],
          points: [lambda { |value|
            value.is_a?(Array) && value.size <= MOST && value.all? do |point|
              point.is_a?(Array) && point.size == 2 && point.all? { |side| percent?(side) }
            end
          },
                   "must be a list of points, each two numbers from 0 to 100"],
          amounts: [->(value) { value.is_a?(Hash) && value.values.all? { |amount| amount?(amount) } },
                    "must be an object of numbers above 0"],
          words_map: [lambda { |value|
            value.is_a?(Hash) && value.size <= MOST && value.values.all? { |text| words?(text) }
          },
                      "must be an object of words"],
          counts: [lambda { |value|
            value.is_a?(Hash) && value.any? && value.values.all? { |count| count.is_a?(Integer) && count.positive? }
          },
                   "must be an object of whole numbers above 0"],
          attributes: [lambda { |value|
            value.is_a?(Hash) && value.values.all? { |given| [true, false].include?(given) || words?(given) }
          },
                       "must be an object of words, true or false"]
        }.freeze

        module_function

        # @param data [Object]
        # @param spec [Hash] one of the tables above
        # @param path [Array] of `data`
        # @return [Array<Problem>]
        def problems(data, spec, path)
          missing = spec.filter_map { |key, (_, needed)| key if needed && !data.key?(key) }.map do |key|
            Problem.new(path: path, words: "#{key} is missing")
          end
          missing + data.filter_map do |key, value|
            what, = spec[key]
            next Problem.new(path: path + [key], words: "#{key} is not known") unless what

            holds, words = TYPES.fetch(what)
            Problem.new(path: path + [key], words: "#{key} #{words}") unless holds.call(value)
          end
        end

        def words?(value)
          value.is_a?(String) && value.match?(/\S/) && value.size <= LONGEST
        end

        def percent?(value)
          value.is_a?(Numeric) && value.between?(0, 100)
        end

        def amount?(value)
          value.is_a?(Numeric) && value.positive? && value < 1_000_000
        end
      end
    end
  end
end
