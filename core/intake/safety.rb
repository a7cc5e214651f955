# frozen_string_literal: true

module UprightBench
  module Core
    module Intake
      # Before a hand goes in: how a kind of machine is made safe, and the conditions under which it is not opened
      # at all. Common practice throughout; local rules and competent persons go first.
      module Safety
        MASK = "Dust mask on, in a ventilated place; gloves for a neglected machine."

        STEPS = {
          unknown: ["Unplug a mains machine, or take the battery out of a cordless one.", MASK],
          mains: ["Switch it off and unplug it; keep the plug in sight.", MASK],
          battery: ["Take the battery out, or off; where it stays in, switch off and keep hands off the trigger.",
                    MASK],
          robot: ["Take it off its dock and switch it off before it is turned over.", "Pour the tanks out. #{MASK}"],
          drum: ["Switch it off and unplug it; wipe the lead before it is rewound.",
                 "Wet waste or unknown dust in the drum: do not open it. #{MASK}"]
        }.freeze
        DONE = { unknown: "It is unplugged, or its battery is out", mains: "It is unplugged",
                 battery: "The battery is out", robot: "It is off its dock and switched off",
                 drum: "It is unplugged" }.freeze

        # key => [words at the counter, the stop that it raises, powers it can happen to]
        CONDITIONS = {
          "battery" => ["battery swollen, hot, leaking or wet",
                        "Battery swollen, hot, leaking or wetted: keep the machine apart, take the pack to a battery " \
                        "collection point.", %i[battery]],
          "lead" => ["lead or plug damaged",
                     "Damaged lead or plug: do not switch it on. Repair and electrical safety test belong to a " \
                     "competent person under local rules.", %i[mains]],
          "burnt" => ["burnt smell, sparks or a shock",
                      "Burnt smell, sparks or a shock: do not switch it on. It goes to a competent person under " \
                      "local rules.", %i[mains battery]],
          "dust" => ["glass, ash, toner, plaster, mould or wet waste inside",
                     "Hazardous dust, glass or wet waste inside: do not open it indoors; follow local rules for what " \
                     "it is.", %i[mains battery]]
        }.freeze

        module_function

        # @param kind [Symbol, nil] of machine
        # @param power [Symbol, nil]
        # @return [Symbol] which of STEPS
        def way(kind:, power:)
          return kind if STEPS.key?(kind)

          power || :unknown
        end

        # @param power [Symbol, nil] all conditions while it is not known
        # @return [Hash{String=>String}] key => words at the counter
        def conditions(power)
          CONDITIONS.select { |_, (_, _, powers)| power.nil? || powers.include?(power) }.transform_values(&:first)
        end

        # @return [String] what the stop says
        def stop_words(condition)
          CONDITIONS.fetch(condition)[1]
        end
      end
    end
  end
end
