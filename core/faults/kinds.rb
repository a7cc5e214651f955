# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # What can be wrong with each kind of part, each as a finding of that part. How often a look shows it is common
      # practice, in numbers of ours.
      module Kinds
        def self.of_part(rows)
          rows.to_h do |key, (words, observed, seen)|
            [key, Fault.new(key: key, words: words, observed: observed, seen: seen || 0.9)]
          end.freeze
        end
        private_class_method :of_part

        BY_PART = {
          filter: { full: ["clogged", { grey: 5 }, 0.95], damp: ["damp", { damp: true }, 0.9],
                    torn: ["torn or out of shape", { torn: true }, 0.9],
                    loose: ["missing, loose or not locked", { loose: true }, 0.95] },
          bag: { full: ["full", { fill_percent: 100 }, 0.98], burst: ["burst", { burst: true }, 0.95] },
          bin: { full: ["full", { fill_percent: 100 }, 0.99], cracked: ["cracked", { cracked: true }, 0.8] },
          path: { blocked: ["blocked", { state: "blocked" }, 0.95],
                  partly: ["partly blocked", { state: "partly" }, 0.85] },
          screen: { clogged: ["clogged", { state: "clogged" }, 0.95],
                    wound: ["wound with hair", { state: "hair-wound" }, 0.95],
                    torn: ["torn", { state: "torn" }, 0.9] },
          cyclone: { packed: ["packed with dust", { state: "packed" }, 0.9] },
          flap: { gapes: ["does not close", { state: "gapes" }, 0.9], jammed: ["jammed", { state: "jammed" }, 0.9],
                  broken: ["broken", { state: "broken" }, 0.95] },
          seal: { dirty: ["dirty", { state: "dirty" }, 0.85],
                  lifted: ["lifted from its seat", { state: "lifted" }, 0.85],
                  torn: ["torn", { state: "torn" }, 0.85], binds: ["binds", { state: "binds" }, 0.9] },
          roll: { wound: ["wound with hair", { turns: "drags" }, 0.97], stuck: ["stuck", { turns: "stuck" }, 0.97],
                  worn: ["worn bristles", { bristles: "worn" }, 0.9] },
          brush: { flush: ["worn flush with the bars", { standout_mm: 0 }, 0.97],
                   gaps: ["bristles missing", { gaps: true }, 0.95] },
          side_brush: { wound: ["wound with hair", { state: "hair-wound" }, 0.97],
                        bent: ["bent", { state: "bent" }, 0.9] },
          wiper: { worn: ["worn", { state: "worn" }, 0.9], dirty: ["dirty", { state: "dirty" }, 0.95] },
          comb: { wound: ["wound with hair", { state: "hair-wound" }, 0.95],
                  broken: ["broken", { state: "broken" }, 0.95] },
          guide_bars: { bent: ["bent", { state: "bent" }, 0.9] },
          window: { cracked: ["cracked", { state: "cracked" }, 0.95] },
          wheels: { drag: ["drag", { state: "drag" }, 0.95], broken: ["broken", { state: "broken" }, 0.95] },
          vents: { blocked: ["blocked", { state: "blocked" }, 0.95] },
          pedal: { stiff: ["stiff", { state: "stiff" }, 0.95], broken: ["broken", { state: "broken" }, 0.95] },
          valve: { sticks: ["sticks open", { state: "sticks" }, 0.9] },
          sensor: { silent: ["does not answer", { state: "silent" }, 0.8] },
          belt: { broken: ["cracked, glazed or torn", { cracked: true }, 0.97] },
          motor: { worn: ["runs rough: worn", { state: "rough" }, 0.6],
                   burnt: ["burnt smell", { state: "burnt smell" }, 0.9] },
          carbon: { sparks: ["sparks", { sparks: true }, 0.85] },
          contacts: { dirty: ["dirty", { state: "dirty" }, 0.9], burnt: ["burnt", { state: "burnt" }, 0.95] },
          battery: { weak: ["weak", { state: "weak" }, 0.6], swollen: ["swollen", { state: "swollen" }, 0.98] },
          lead: { damaged: ["damaged", { state: "damaged" }, 0.9] },
          tank: { gapes: ["does not close", { state: "gapes" }, 0.9], dirty: ["dirty", { state: "dirty" }, 0.95] },
          pad: { dirty: ["dirty", { state: "dirty" }, 0.97] },
          dock: { dusty: ["dusty", { state: "dusty" }, 0.95], loose: ["loose", { state: "loose" }, 0.95] }
        }.transform_values { |rows| of_part(rows) }.freeze

        # How the machine is set; looked at all together, before anything is opened.
        SETTINGS = {
          pile: "floor setting wrong for the pile", slide: "suction slide or valve open", off: "brush switched off",
          eco: "in its quiet or saving mode", cut_out: "thermal cut-out tripped: unplug it, let it cool half an hour"
        }.to_h { |key, words| [key, Fault.new(key: key, words: words, seen: 0.97)] }.freeze

        CUT_OUT = :cut_out # what a motor's light may tell, though it is a setting

        module_function

        # @param part [Symbol] a kind of part
        # @return [Hash{Symbol=>Fault}] what a place of that kind may have; a motor also what cuts it out
        def of_place(part)
          BY_PART.fetch(part, {}).merge(part == :motor ? SETTINGS.slice(CUT_OUT) : {})
        end

        # @param part [Symbol] a kind of part, or :setting
        # @return [Fault]
        # @raise [KeyError]
        def fetch(part, key)
          (part == :setting ? SETTINGS : BY_PART.fetch(part)).fetch(key)
        end
      end
    end
  end
end
