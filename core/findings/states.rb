# frozen_string_literal: true

module UprightBench
  module Core
    module Findings
      # Parts that are read by one look: the state decides. The good state stands first. (Common practice throughout.)
      module States
        STOP = :stop # to be referred, and nothing else is done until somebody has seen to it

        # kind of place => { state => kind of verdict, or STOP }
        TABLE = {
          roll: { "free" => :leave, "drags" => :clean, "stuck" => :clean },
          side_brush: { "straight" => :leave, "hair-wound" => :clean, "bent" => :replace, "missing" => :replace },
          wiper: { "supple" => :leave, "dirty" => :clean, "worn" => :replace },
          guide_bars: { "straight" => :leave, "bent" => :replace, "missing" => :replace },
          window: { "clear" => :leave, "dirty" => :clean, "cracked" => :replace },
          wheels: { "turn" => :leave, "drag" => :clean, "broken" => :replace },
          vents: { "open" => :leave, "dusty" => :clean, "blocked" => :clean },
          path: { "clear" => :leave, "partly" => :clean, "blocked" => :clean },
          flap: { "closes" => :leave, "gapes" => :clean, "jammed" => :clean, "broken" => :replace },
          comb: { "whole" => :leave, "hair-wound" => :clean, "broken" => :replace },
          pedal: { "clicks" => :leave, "stiff" => :clean, "broken" => :replace },
          valve: { "closes" => :leave, "sticks" => :clean, "broken" => :replace },
          screen: { "clear" => :leave, "hair-wound" => :clean, "clogged" => :clean, "torn" => :replace },
          cyclone: { "clear" => :leave, "dusty" => :clean, "packed" => :clean },
          sensor: { "answers" => :leave, "silent" => :clean },
          motor: { "even" => :leave, "high-pitched" => :leave, "rough" => :refer, "burnt smell" => STOP },
          seal: { "clean" => :leave, "dirty" => :clean, "lifted" => :clean, "binds" => :clean, "torn" => :replace },
          contacts: { "bright" => :leave, "dirty" => :clean, "burnt" => STOP },
          battery: { "sound" => :leave, "weak" => :replace, "swollen" => STOP },
          lead: { "sound" => :leave, "damaged" => STOP },
          tank: { "clean" => :leave, "dirty" => :clean, "gapes" => :clean, "leaks" => :replace },
          pad: { "clean" => :leave, "dirty" => :clean, "worn" => :replace },
          dock: { "firm" => :leave, "dusty" => :clean, "loose" => :clean }
        }.freeze

        module_function

        # @return [Array(Symbol, Boolean)] kind of verdict, whether it is a stop
        def of(kind, state)
          verdict = TABLE.fetch(kind).fetch(state)
          verdict == STOP ? [:refer, true] : [verdict, false]
        end

        # @return [Symbol] as in :side_brush_hair_wound
        def clause(kind, state)
          :"#{kind}_#{state.tr(' -', '_')}"
        end
      end
    end
  end
end
