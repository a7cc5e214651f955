# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # How each kind of part is looked at when a fault is sought: what to do, and what shows that it is here (common
      # practice). A place's own minutes hold.
      module Looks
        # @!attribute tool [String, nil]
        Look = Struct.new(:act, :sign, :tool, keyword_init: true)

        def self.look(act, sign, tool = nil)
          Look.new(act: act, sign: sign, tool: tool).freeze
        end
        private_class_method :look

        BY_PART = {
          filter: look("Take it out. Hold it to the light, feel it, smell it, and look how it sat.",
            "dark or matted, damp, torn, loose or missing"),
          bag: look("Open the chamber and squeeze the bag.", "tight and full, or dust beside it"),
          bin: look("Look at the line, and run a finger along the rim.", "full above its line, or a crack"),
          path: look("Look through it at the light; where it bends, let a coin or a ball run through.",
            "dark, or the coin stays in", "coin"),
          screen: look("Turn it against the light.", "matted, wound with hair or torn"),
          cyclone: look("Look into the cones.", "dust stands in them", "lamp"),
          flap: look("Move it with a finger, and let it fall.", "it does not close, or does not open"),
          seal: look("Close it on a strip of paper, at four sides, and pull.",
            "the paper slides out; dirt, a tear, a fold", "strip of paper"),
          roll: look("Turn it by hand, and look at both ends.", "it drags or is stuck; hair; worn bristles"),
          brush: look("Lay a straight edge over the guide bars.", "bristles flush with the bars, or gaps",
            "straight edge"),
          side_brush: look("Turn it by hand.", "wound with hair, or bent"),
          wiper: look("Run a finger along it.", "stiff, worn or dirty"),
          comb: look("Look along it.", "wound with hair, or a tooth gone"),
          guide_bars: look("Look along them.", "bent"),
          window: look("Press it, and look along its edge.", "a crack"),
          wheels: look("Turn each by hand.", "one drags or is broken"),
          vents: look("Look at each opening.", "dust across it"),
          pedal: look("Press it up and down.", "stiff, or it does not hold"),
          valve: look("Press it, and let go.", "it stays open"),
          sensor: look("Press where the filter sits, and watch the light.", "no answer"),
          belt: look("Look all round it, and press it.", "cracks, glaze, or slack"),
          motor: look("Let it run for a moment, closed up, and listen.", "rough, rattling, or a burnt smell: stop"),
          carbon: look("Take the carbons out and measure them.", "short, uneven, or sparks while it ran", "rule"),
          contacts: look("Look at both sides of each.", "dull or green; burnt: stop"),
          battery: look("Charge it full, and time how long it runs.", "much shorter than new; swollen: stop", "clock"),
          lead: look("Let it run through your hand, unplugged.", "a nick, a kink, or a loose plug: stop"),
          tank: look("Fill it, and turn it over the sink.", "it drips, or does not close"),
          pad: look("Look at it and smell it.", "dirty"),
          dock: look("Move it, and look at its openings.", "loose, or dust across them")
        }.freeze
        SETTINGS = look("Look at every switch, slide and dial, and ask how it is used.",
          "set wrong for this floor, open, off, or tripped")
      end
    end
  end
end
