# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # Air through a plate with a hole, and what comes of it: ASTM F558, constants from memory.
      module Orifice
        CFM = 21.844 # Q[CFM] = 21.844 · D²[in] · K · √h[inH₂O]
        SHARP = 0.6 # flow coefficient K of a sharp edge, about; without it flow comes out 1.6 times too high
        INCH_MM = Units::Length::MM.fetch(:inch)
        CFM_L_S = Gauges::Quantities::Flow.units.fetch("cfm")
        INCH_KPA = Gauges::Quantities::Pressure.units.fetch("inh2o")

        module_function

        # @param suction_kpa [Numeric] behind the plate
        # @param diameter_mm [Numeric] of the hole
        # @param coefficient [Numeric] the plate's own
        # @return [Float] L/s
        def flow(suction_kpa, diameter_mm, coefficient: SHARP)
          CFM * ((diameter_mm / INCH_MM)**2) * coefficient * Math.sqrt(suction_kpa / INCH_KPA) * CFM_L_S
        end

        # @return [Float] what a plate resists, in kPa for the square of a litre a second
        def resistance(diameter_mm, coefficient: SHARP)
          1.0 / (flow(1.0, diameter_mm, coefficient: coefficient)**2)
        end

        # @return [Float] watts of air: W = 0.117354 · Q[CFM] · h[inH₂O]
        def power(suction_kpa, flow_l_s)
          suction_kpa * flow_l_s
        end

        STEPS = 1000 # in which the curve is looked through
        private_constant :STEPS

        # Suction over flow by the second degree through a series of readings, and the most power on that curve.
        # @param readings [Array<Array(Numeric, Numeric)>] flow (L/s) and suction (kPa), three at least
        # @return [Array(Float, Float)] most watts, and the flow at which they are
        def most_power(readings)
          a, b, c = parabola(readings)
          watts = ->(flow) { power((a * flow * flow) + (b * flow) + c, flow) }
          widest = readings.map(&:first).max
          flow = (0..STEPS).map { |step| widest * step / STEPS.to_f }.max_by(&watts)
          [watts.call(flow), flow]
        end

        # @param readings [Array<Reading>] behind plates, of one point
        # @return [Array(Float, Float), nil] most watts of air and the flow at which they are; nil for fewer than three
        #   flows, through which there are many curves
        def most_power_of(readings)
          plates = readings.select { |reading| reading.kind == :plate }.to_h { |one| [one.plate_mm, one.value] }
          series = plates.map { |hole, suction| [flow(suction, hole), suction] }
          most_power(series) if series.uniq { |flow, _| flow.round(3) }.size >= 3
        end

        # Least squares by the normal equations, solved by Cramer's rule.
        # @return [Array(Float, Float, Float)] of q², of q, and the rest
        def parabola(readings)
          rows = Array.new(3) { |row| Array.new(3) { |column| moment(readings, row + column) } }
          right = Array.new(3) { |power| readings.sum { |flow, suction| suction * (flow.to_f**power) } }
          Array.new(3) { |column| determinant(replaced(rows, column, right)) / determinant(rows) }.reverse
        end

        def moment(readings, power)
          readings.sum { |flow, _| flow.to_f**power }
        end

        def replaced(rows, column, values)
          rows.each_with_index.map { |row, index| row.dup.tap { |copy| copy[column] = values[index] } }
        end

        def determinant(rows)
          (0..2).sum do |shift|
            (0..2).inject(1) { |all, row| all * rows[row][(row + shift) % 3] } -
              (0..2).inject(1) { |all, row| all * rows[row][(shift - row) % 3] }
          end
        end
        private_class_method :parabola, :moment, :replaced, :determinant
      end
    end
  end
end
