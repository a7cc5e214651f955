# frozen_string_literal: true

require "json"
require_relative "machine"
require_relative "serving"

module UprightBench
  module Gauge
    # A gauge that is not there: it writes lines as a real one does, over TCP and a pseudo-terminal, of a machine with
    # hidden faults. It takes a moment to come to rest, its numbers tremble, and its zero drifts.
    #
    # Whoever reads it may write to it where it is held:
    #
    #   at {"point": "hose", "kind": "flow"}
    #
    # and where several models are known, also job and model: each job's machine has a fault of its own, until it was
    # worked on.
    class Simulated
      include Serving

      REST = 0.35 # of the way to the new value that is left after each line
      UNITS = { pressure: "kPa", flow: "L/s" }.freeze
      SIGNS = { pressure: "-", flow: "" }.freeze

      # @param sheets [Array<Core::Sheets::Sheet>] the first is the one it is held to
      # @param faults [Array, nil] as Machine takes them; nil for those of each job
      # @param error_percent [Numeric] within which it trembles
      # @param random [Random]
      # @param format [String] with {value} and {unit}
      def initialize(sheets, faults: nil, error_percent: 1.0, random: Random.new, format: "{value} {unit}")
        @sheets = sheets.to_h { |sheet| [sheet.title, sheet] }
        @faults = faults
        @error_percent = error_percent
        @random = random
        @format = format
        @drift = 0.0
        hold({})
      end

      # @param line [String] what somebody wrote to it; what means nothing is left aside
      def told(line)
        written = line.to_s[/\Aat (\{.*\})\s*\z/, 1] or return
        at = JSON.parse(written)
        hold(at) if at.is_a?(Hash)
      rescue JSON::ParserError
        nil
      end

      # @return [String] the next line, without its end
      def line
        wanted, what = @machine.shows(@at)
        @value = wanted + ((@value - wanted) * REST)
        @drift = ((@drift * 0.98) + (@random.rand - 0.5)).clamp(-1, 1)
        @format.gsub("{value}", "#{SIGNS[what]}#{format('%.2f', [trembling, 0].max)}").gsub("{unit}", UNITS[what])
      end

      private

      # Between two places it shows nothing.
      def hold(at)
        @value = 0.0
        sheet = @sheets.fetch(at["model"], @sheets.each_value.first)
        hides = @faults.nil? && at["job"] && !at["worked"]
        @machine = hides ? Machine.hiding(sheet, at["job"].to_i) : Machine.new(sheet, @faults || [])
        @at = at
      end

      def trembling
        share = @error_percent / 100 * (((@random.rand - 0.5) * 0.6) + (@drift * 0.2))
        @value * (1 + share)
      end
    end
  end
end
