# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Parts that are read by one look: the state decides. The good state stands first. (Common practice throughout.)
      module States
        STOP = "stop, and refer to a competent person under local rules."

        # kind => { state => [verdict, reason, whether it is a stop] }
        TABLE = {
          roll: { "free" => [:leave, "The roll spins freely."],
                  "drags" => [:clean, "The roll drags: hair at the ends and on the bearings."],
                  "stuck" => [:clean, "The roll is stuck: free the ends first; if it still sticks, refer."] },
          side_brush: { "straight" => [:leave, "The side brush is straight and free."],
                        "hair-wound" => [:clean, "Hair that the main brush does not collect: cut it away, keep the " \
                                                 "small screw."],
                        "bent" => [:replace, "Bent or splayed: it throws dirt aside instead of drawing it in."],
                        "missing" => [:replace, "The side brush is missing."] },
          wiper: { "supple" => [:leave, "The strip is supple and whole."],
                   "dirty" => [:clean, "Dirty: wipe it; hair under it makes the head ride up."],
                   "worn" => [:replace, "Worn or torn: it leaves a trail."] },
          guide_bars: { "straight" => [:leave, "The guide bars are straight."],
                        "bent" => [:replace, "Bent guide bars catch the pile and wear the bristles on one side."],
                        "missing" => [:replace, "A guide bar is missing: bristles cannot be judged, and carpet is " \
                                                "drawn in."] },
          window: { "clear" => [:leave, "The window is clear."],
                    "dirty" => [:clean, "The window is dirty: wipe it, look for what it hides."],
                    "cracked" => [:replace, "Cracked: it leaks just where the suction is wanted."] },
          wheels: { "turn" => [:leave, "The wheels turn freely."],
                    "drag" => [:clean, "The wheels drag: hair on the axles, grit in the bearings. Bearings are never " \
                                       "soaked."],
                    "broken" => [:replace, "A wheel is broken: the head scrapes, and the floor with it."] },
          vents: { "open" => [:leave, "The vents are open."],
                   "dusty" => [:clean, "Dusty vents: brush them, the head sticks to the floor without them."],
                   "blocked" => [:clean, "Blocked vents: the head sticks to the floor and starves."] },
          path: { "clear" => [:leave, "The way is clear."],
                  "partly" => [:clean, "Partly blocked: push it through with a blunt rod."],
                  "blocked" => [:clean, "Blocked: push it through with a blunt rod."] },
          flap: { "closes" => [:leave, "The flap closes fully."],
                  "gapes" => [:clean, "The flap gapes: dust under it, dirt falls straight out again."],
                  "jammed" => [:clean, "The flap is jammed: that looks like a dead motor. Free it."],
                  "broken" => [:replace, "The flap is broken."] },
          screen: { "clear" => [:leave, "The screen is clear."],
                    "hair-wound" => [:clean, "Hair-wound: the cause most owners never find. Brush, wipe, let dry."],
                    "clogged" => [:clean, "Clogged: the cause most owners never find. Brush, wipe, let dry."],
                    "torn" => [:replace, "Torn or broken through: it lets fluff on to the filter."] },
          cyclone: { "clear" => [:leave, "The cones are clear."],
                     "dusty" => [:clean, "Dusty cones: tap and brush from outside."],
                     "packed" => [:clean, "Packed cones: opened only with the customer's agreement when in warranty, " \
                                          "and with a screw map."] },
          sensor: { "answers" => [:leave, "The machine notices that the filter is out: the sensor answers."],
                    "silent" => [:clean, "The machine runs without its filter: clean the sensor and its seat, then " \
                                         "try again."] },
          motor: { "even" => [:leave, "The motor runs evenly."],
                   "high-pitched" => [:clean, "High-pitched: a blockage, or a filter out of place. Clear the way " \
                                              "before the motor is blamed."],
                   "rough" => [:refer, "Runs rough: a bearing. Refer to the maker."],
                   "burnt smell" => [:refer, "Burnt smell: #{STOP}", true] },
          seal: { "clean" => [:leave, "The seal is clean and seated."],
                  "dirty" => [:clean, "A dirty seal leaks as surely as a torn one: wipe it."],
                  "lifted" => [:clean, "The seal has lifted: wipe it and seat it again."],
                  "binds" => [:clean, "The seal binds: find which one by closing the inner lid alone first, then " \
                                      "wipe it."],
                  "torn" => [:replace, "The seal is torn: it cannot hold suction."] },
          contacts: { "bright" => [:leave, "The contacts are bright."],
                      "dirty" => [:clean, "Dirty contacts mimic a weak pack: dry cloth only."],
                      "burnt" => [:refer, "Burnt contacts: #{STOP}", true] },
          battery: { "sound" => [:leave, "The pack looks sound."],
                     "weak" => [:refer, "The pack runs short: measure its run time, or offer a pack from the maker."],
                     "swollen" => [:refer, "Swollen, hot, leaking, dropped or wetted: stop, keep it apart, take it " \
                                           "to a battery collection point.", true] },
          lead: { "sound" => [:leave, "The lead is sound along its whole length."],
                  "damaged" => [:refer, "Damaged lead: stop. Repair and safety test belong to a competent person " \
                                        "under local rules.", true] },
          tank: { "clean" => [:leave, "The tank is clean and its lid seals."],
                  "dirty" => [:clean, "Dirty: rinse and dry it. No floor cleaner unless the maker allows it."],
                  "gapes" => [:clean, "The lid does not seal, so there is no suction: clean its rim and seat it " \
                                      "again."],
                  "leaks" => [:replace, "The tank leaks."] },
          pad: { "clean" => [:leave, "The pad is clean."],
                 "dirty" => [:clean, "The pad is dirty."],
                 "worn" => [:replace, "Worn through or frayed: it smears."] },
          dock: { "firm" => [:leave, "The dock stands firm."],
                  "dusty" => [:clean, "Dust on the dock's ramp and sensors: dry cloth only."],
                  "loose" => [:clean, "The dock is loose: tell the customer it needs heavier anchors."] }
        }.freeze

        # @return [Array(Symbol, String, Boolean)] kind of verdict, reason, whether it is a stop
        def self.of(kind, state)
          kind, reason, stop = TABLE.fetch(kind).fetch(state)
          [kind, reason, stop || false]
        end
      end
    end
  end
end
