# frozen_string_literal: true

module UprightBench
  module English
    # Names the faults, and says how the technician looks for them (Core::Faults).
    module Faults
      SETTINGS = {
        pile: "floor setting wrong for the pile", slide: "suction slide or valve open", off: "brush switched off",
        eco: "in its quiet or saving mode", cut_out: "thermal cut-out tripped: without power, let it cool half an hour"
      }.freeze

      # What to do, what shows it, and the tool, or nil.
      Look = Struct.new(:act, :sign, :tool)

      module_function

      # @param part [Symbol] a kind of part, or Core::Faults::Possible::SETTING
      # @param key [Symbol]
      # @return [String] as it is said after the name of the place, as in "clogged"
      # @raise [KeyError]
      def of(part, key)
        return SETTINGS.fetch(key) if part == Core::Faults::Possible::SETTING
        return SETTINGS.fetch(key) if part == :motor && key == Core::Faults::Settings::CUT_OUT

        Kinds.fetch(part).faults.fetch(key)
      end

      # @param cause [Core::Faults::Cause]
      # @return [String] as in "clogged"
      def short(cause)
        of(cause.part, cause.fault.key)
      end

      # @param cause [Core::Faults::Cause]
      # @return [String] as in "Pre-motor filter: clogged"
      def cause(cause)
        "#{cause.name}: #{short(cause)}"
      end

      # @param sheet [Core::Sheets::Sheet]
      # @param key [String] of a cause
      # @return [String] as in "Pre-motor filter: clogged"; the key where the sheet has no such place any more
      def cause_of(sheet, key)
        place, fault = key.split(":")
        return "Setting: #{SETTINGS.fetch(fault.to_sym)}" if place == "setting"

        position = sheet.position(place)
        "#{position.name}: #{of(position.kind, fault.to_sym)}"
      rescue KeyError
        key
      end

      # @param check [Core::Faults::Check]
      # @param sheet [Core::Sheets::Sheet]
      # @return [Look] in the sheet's own words for the place, else in those for its kind of part
      def look(check, sheet)
        return Look.new(check.act, check.sign, check.tool) if check.tried?

        usual = Kinds.fetch(sheet.position(check.place).kind)
        Look.new(check.act || usual.act, check.sign || usual.sign, check.tool || usual.tool)
      end
    end
  end
end
