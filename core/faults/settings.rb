# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # How a machine is set, where that is what the customer complains of; looked at all together, before anything is
      # opened. (Common practice; how often, in numbers of ours.)
      module Settings
        MINUTES = 1.0
        ACT = "Look at every switch, slide and dial, and ask how it is used."
        SIGN = "set wrong for this floor, open, off, or tripped"
        SEEN = 0.97

        def self.setting(key, explains, behind_it: {})
          Fault.new(key: key, seen: SEEN, air: :nothing, explains: explains, behind_it: behind_it,
            shown_by: nil)
        end
        private_class_method :setting

        ALL = [
          setting(:pile, { weak_on_the_floor: 18, hard_to_push: 45, dirt_comes_back_out: 6 }),
          setting(:slide, { weak_on_the_floor: 8, weak_everywhere: 5, no_suction: 3, hard_to_push: 10 }),
          setting(:off, { brush_does_not_turn: 16 }),
          setting(:eco, { weak_on_the_floor: 4, weak_everywhere: 4, short_run_time: 0 }),
          setting(:cut_out, { pulses: { any: 6, battery: 0 }, no_suction: { any: 6, battery: 1 } },
            behind_it: { filter: %i[full], bag: %i[full], path: %i[blocked partly] })
        ].to_h { |fault| [fault.key, fault] }.freeze

        CUT_OUT = :cut_out # what a motor's light may tell, though it is a setting
      end
    end
  end
end
