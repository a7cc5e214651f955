# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # The air of a machine with hidden faults, for practice: each fault obstructs, leaks or tires as much as such a
      # fault usually does (from memory).
      class Hidden
        SIZES = { blocked: 1.0..8.0, leak: 0.05..0.4, fan: 0.5..0.8 }.freeze
        SHUT = { blocked: 20.0..200.0 }.freeze # of what is called blocked outright
        TREMBLE = 0.01 # of the value, that a gauge shows more or less

        # @param sheet [Sheets::Sheet]
        # @param causes [Array<Faults::Cause>]
        # @param chance [#call] gives numbers from 0 up to 1, each time another
        def initialize(sheet, causes, chance)
          air = AirOfFault.new(sheet)
          @machine = causes.inject(Expected.of(sheet)) do |machine, cause|
            kind, stage = air.call(cause)
            machine.broken(kind, stage, kind == :nothing ? 0 : size(kind, cause, chance))
          end
        end

        # @param chance [#call] by which the hand trembles
        # @return [Float] what the gauge shows
        def shows(point, kind, chance, exhaust_off: false)
          value = Reading.expected(@machine, point, kind, exhaust_off: exhaust_off)
          value * (1 + (TREMBLE * ((2 * chance.call) - 1)))
        end

        private

        def size(kind, cause, chance)
          range = cause.fault.key == :blocked ? SHUT.fetch(kind) : SIZES.fetch(kind)
          range.begin + ((range.end - range.begin) * chance.call)
        end
      end
    end
  end
end
