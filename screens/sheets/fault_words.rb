# frozen_string_literal: true

module UprightBench
  module Screens
    module Sheets
      # Helpers that say what a sheet knows about faults.
      module FaultWords
        # @return [Array<String>] what a sheet says of a place's faults
        def fault_lines(place)
          [*[place.look, place.sign].compact.join(" Look for: ").then { |words| words.empty? ? nil : words },
           *place.lights.map { |light| light_words(place, light) },
           *place.shares.map { |share| own_share_words(place, share) }]
        end

        # @return [String] as in "Light red, blinks 3 times: roll stuck"
        def light_words(place, light)
          "Light #{light.words}: #{light.means || fault_words(place, light.fault)}"
        end

        # @return [String] as in "60 of 100 that come with “pulses”: clogged"
        def own_share_words(place, share)
          complaint = Core::Faults::Complaints.fetch(share.complaint).words
          "#{figure(share.percent)} of 100 that come with “#{complaint}”: " \
            "#{fault_words(place, share.fault)}"
        end

        def fault_words(place, fault)
          English::Faults.of(place.kind, fault.to_sym)
        end
      end
    end
  end
end
