# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # What holds a step shut: how many, of which kind, the driver, the length where it matters, how far a lock turns.
      #
      # `at` are the points where they sit, in percent of the step's drawing, from its top left corner.
      class Fastener
        include Value

        fields :count, driver: nil, kind: "screw", length_mm: nil, diameter_mm: nil, turns: nil, direction: nil,
          note: nil, at: []

        # kind => [one, several, whether it comes off and can be lost]
        KINDS = {
          "screw" => %w[screw screws], "clip" => %w[clip clips], "clip_ring" => ["clip ring", "clip rings"],
          "lug" => %w[lug lugs], "bayonet" => ["bayonet lock", "bayonet locks"],
          "coin_lock" => ["coin lock", "coin locks"]
        }.freeze
        LOOSE = %w[screw clip_ring].freeze
        # Turned with a tool that has to be named.
        DRIVEN = %w[screw].freeze
        TURNS = { 0.125 => "an eighth turn", 0.25 => "a quarter turn", 0.5 => "half a turn", 1 => "one turn" }.freeze
        DIRECTIONS = %w[left right].freeze
        # How a driver is written => the shape of what it turns.
        SHAPES = { /\AT\d/i => :star, /cross|\AP[HZ]?\d/i => :cross, /slot|coin|flat/i => :slot,
                   /hex|allen/i => :hex }.freeze

        # @return [String] as in "3 × T8, 10 mm"
        def words
          ["#{count} × #{what}", ("#{Units::Figure.words(length_mm)} mm" if length_mm), turned, note].compact.join(", ")
        end

        # @return [String] as in "T8 screws", "coin lock"
        def what
          named = KINDS.fetch(kind)[count == 1 ? 0 : 1]
          return named if driver.nil?

          kind == "screw" ? driver : "#{named} (#{driver})"
        end

        # @return [Boolean] it comes off, and so is laid by and counted
        def loose?
          LOOSE.include?(kind)
        end

        # @return [Symbol] :star, :cross, :slot, :hex; :plain where the driver does not say, or there is none
        def shape
          return :slot if kind == "coin_lock"

          SHAPES.find { |pattern, _| driver.to_s.match?(pattern) }&.last || :plain
        end

        private

        def turned
          way = " to the #{direction}" if direction
          amount = turns && (TURNS[turns] || "#{Units::Figure.words(turns)} turns")
          "#{amount}#{way}".strip if amount || way
        end

        def check
          hold(count.is_a?(Integer) && count.positive?, "a fastener's count is a whole number above 0")
          hold(KINDS.key?(kind), "a fastener is a #{KINDS.keys.join(', ')}")
          hold(named? || !DRIVEN.include?(kind), "a screw names its driver")
          check_sizes
          check_turns
          check_points
        end

        def check_sizes
          hold(none_or_above_zero?(length_mm), "a fastener's length is a number above 0")
          hold(none_or_above_zero?(diameter_mm), "a fastener's diameter is a number above 0")
        end

        def check_points
          hold(at.size <= count && at.all? { |point| point?(point) },
            "a fastener's points are at most as many as there are, each two numbers from 0 to 100")
        end

        def check_turns
          hold(none_or_above_zero?(turns), "turns are a number above 0")
          hold(direction.nil? || DIRECTIONS.include?(direction), "a lock turns #{DIRECTIONS.join(' or ')}")
        end

        def named?
          driver.is_a?(String) && driver.match?(/\S/)
        end

        def point?(point)
          point.is_a?(Array) && point.size == 2 &&
            point.all? { |side| side.is_a?(Numeric) && side.between?(0, 100) }
        end

        def hold(kept, rule)
          raise ArgumentError, rule unless kept
        end

        def none_or_above_zero?(value)
          value.nil? || (value.is_a?(Numeric) && value.positive?)
        end
      end
    end
  end
end
