# frozen_string_literal: true

require "json"
require_relative "../launch/core_alone"

module UprightBench
  module Gauge
    # The machine that a simulated gauge is held to: a model, faults that nobody sees, and what the gauge would show at
    # any point of it, by the same physics as the bench reckons with.
    class Machine
      Suction = Core::Suction
      SIZES = { blocked: 1.0..30.0, leak: 0.2..2.0, fan: 0.5..0.85 }.freeze # of a hidden fault

      # @param file [String] a model sheet
      # @return [Core::Sheets::Sheet]
      def self.sheet(file)
        data = JSON.parse(File.read(file))
        Core::Sheets::Parse.new(data["sheet"] || data).call
      end

      # @param sheet [Core::Sheets::Sheet]
      # @param faults [Array<Array(Symbol, String, Numeric)>] kind, station and size, as
      #   Core::Suction::Machine#broken takes them
      def initialize(sheet, faults = [])
        @air = faults.inject(Suction::Expected.of(sheet)) { |air, fault| air.broken(*fault) }
      end

      # A fault that is always the same for the same number.
      # @return [Machine]
      def self.hiding(sheet, number)
        random = Random.new(number)
        stages = Suction::Expected.of(sheet).stages
        kind = %i[blocked blocked blocked leak fan][random.rand(5)]
        new(sheet, [[kind, stages[random.rand(stages.size)].key, random.rand(SIZES.fetch(kind))]])
      end

      # @param at [Hash{String=>Object}] point, kind, plate_mm, exhaust_off
      # @return [Array(Float, Symbol)] the value, and :pressure or :flow; that of the whole machine where it has no such
      #   point
      def shows(at)
        kind = at.fetch("kind", "sealed").to_sym
        keys = @air.stages.map(&:key)
        point = keys.include?(at["point"]) ? at["point"] : keys.first
        value = Suction::Reading.expected(@air, point, kind, at["plate_mm"], exhaust_off: at["exhaust_off"] == true)
        [value, Suction::Reading::KINDS.fetch(kind)]
      end
    end
  end
end
