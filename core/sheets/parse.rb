# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # A sheet from plain data (hashes with string keys, as JSON gives them).
      #
      #   Parse.new(JSON.parse(text)).call   # => Sheet
      #
      # Every problem is collected before it raises, so that a sheet is mended in one go.
      class Parse
        FORMAT = "upright-bench/sheet/1"
        TOP = %w[format maker model kind family body_style power warranty_months stations positions].freeze
        TEXTS = %w[maker model family body_style].freeze
        PLACE = %w[key name station kind beside material water tap_out care drying_floor_hours minutes attributes
                   measures tasks refit_order fasteners caution].freeze

        # @param data [Hash{String=>Object}]
        def initialize(data)
          @data = data
          @problems = []
        end

        # @return [Sheet]
        # @raise [Invalid] with every problem found
        def call
          head
          parsed = positions
          raise Invalid, @problems if @problems.any?

          Sheet.new(
            **text_fields, kind: @data["kind"].to_s.to_sym, power: @data["power"].to_s.to_sym, warranty_months: @data["warranty_months"],
                           stations: stations, positions: parsed
          )
        end

        private

        def head
          raise Invalid, ["a sheet is an object"] unless @data.is_a?(Hash)

          @problems << "format is #{FORMAT}" unless @data["format"] == FORMAT
          (TOP - @data.keys).each { |key| @problems << "#{key} is missing" }
          (@data.keys - TOP).each { |key| @problems << "#{key} is not known" }
          shapes if @problems.empty?
          raise Invalid, @problems if @problems.any?
        end

        def shapes
          TEXTS.each { |key| @problems << "#{key} must be words" unless @data[key].is_a?(String) && @data[key].match?(/\S/) }
          @problems << "warranty_months must be a whole number" unless @data["warranty_months"].is_a?(Integer) && @data["warranty_months"] >= 0
          @problems << "positions must be a list" unless @data["positions"].is_a?(Array)
          good = @data["stations"].is_a?(Array) && @data["stations"].all? { |row| row.is_a?(Hash) && row.keys.sort == %w[key name] }
          @problems << "stations must be a list of keys and names" unless good
        end

        def text_fields
          TEXTS.to_h { |key| [key.to_sym, @data[key]] }
        end

        def stations
          @data["stations"].map { |row| Station.new(key: row.fetch("key"), name: row.fetch("name")) }
        end

        def positions
          @data["positions"].each_with_index.filter_map do |row, index|
            position(row)
          rescue ArgumentError, KeyError, NoMethodError, TypeError => e
            @problems << "position #{(row.is_a?(Hash) && row['key']) || (index + 1)}: #{e.message}"
            nil
          end
        end

        def position(row)
          unknown = row.keys - PLACE
          raise ArgumentError, "#{unknown.join(', ')} is not known" if unknown.any?

          Position.new(**plain(row), kind: row.fetch("kind").to_sym, water: row.fetch("water", "never").to_sym,
                                     tasks: (row["tasks"] || []).map { |task| task(task, row) },
                                     fasteners: (row["fasteners"] || []).map { |held| Fastener.new(**held.transform_keys(&:to_sym)) })
        end

        def plain(row)
          row.slice(*(PLACE - %w[kind water tasks fasteners])).transform_keys(&:to_sym)
        end

        def task(row, position)
          Clocks::Task.new(key: row.fetch("key"), action: row.fetch("action").to_sym, card: row.fetch("card", true),
                           disposable: %w[bag bin].include?(position["kind"]),
                           clocks: row.fetch("clocks").map { |clock| clock(clock) })
        end

        def clock(row)
          Clocks::Clock.new(**row.transform_keys(&:to_sym), kind: row.fetch("kind").to_sym)
        end
      end
    end
  end
end
