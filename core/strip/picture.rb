# frozen_string_literal: true

module UprightBench
  module Core
    module Strip
      # How large things are in a picture of a step, on the screen as on paper.
      module Picture
        # outline => how wide and how high, in parts of each other
        SIZES = { "plate" => [200, 120], "bar" => [240, 64], "round" => [150, 150], "tall" => [100, 160] }.freeze
        DIAMETER_MM = 3 # of a screw, where the sheet does not say
        HEAD = 2.0 # times the diameter, across (common practice, from memory)
        HEAD_HIGH = 0.7 # times the diameter (the same)

        module_function

        # @param row [Integer] of the step's fasteners: what differs in driver or length has a letter of its own
        # @return [String] as in "A"
        def letter(row)
          ("A".."Z").to_a.fetch(row % 26)
        end

        # @return [Numeric]
        def thick_mm(fastener)
          fastener.diameter_mm || DIAMETER_MM
        end

        # @return [Numeric] of the head
        def across_mm(fastener)
          thick_mm(fastener) * HEAD
        end

        # @return [Numeric] of the head
        def head_mm(fastener)
          thick_mm(fastener) * HEAD_HIGH
        end

        # @return [Boolean] whether it is drawn from the side, to scale
        def screw?(fastener)
          fastener.kind == "screw" && !fastener.length_mm.nil?
        end
      end
    end
  end
end
