# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # The check that reads a machine's lights, where its sheet says what they tell. A code makes a suspicion: what it
      # tells of is still to be looked at.
      class Lights
        KEY = "lights"
        MINUTES = 0.5
        SEEN = 0.6 # how often a light tells of a fault that it has a code for (from memory)
        FALSE_ALARM = 0.05 # how often it shows one all the same (from memory)

        # @param sheet [Sheets::Sheet]
        # @param causes [Array<Cause>]
        def initialize(sheet, causes)
          @sheet = sheet
          @causes = causes.to_h { |cause| [cause.key, cause] }
        end

        # @return [Check, nil] nil where no light tells of any of the causes
        def call
          codes = codes_by_cause
          return if codes.empty?

          Check.new(key: KEY, place: nil, name: "Lights", act: "Switch it on, and read its lights.",
            sign: "one of these codes", minutes: MINUTES, codes: codes, false_alarm: FALSE_ALARM,
            shows: codes.transform_values { SEEN })
        end

        private

        # @return [Hash{String=>String}] cause => the lights that tell of it
        def codes_by_cause
          told = @sheet.walk.flat_map do |place|
            place.lights.map { |light| [Cause.key_of(place, light.fault), words(light)] }
          end
          told.group_by(&:first).slice(*@causes.keys).transform_values { |rows| rows.map(&:last).join(", or ") }
        end

        def words(light)
          [light.words, light.means].compact.join(": ")
        end
      end
    end
  end
end
