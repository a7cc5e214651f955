# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # The air of a machine: a fan whose suction falls with the flow, and stages that resist, with joints that may
      # leak.
      #
      #   fan      Δp = P · f · (1 − (Q / Q₀)ⁿ), straight for a universal motor to first order
      #   stage    Δp = k · Q², a share of it k · Q · Q₀/2 where the flow is laminar (filters)
      #   joint    Q = C · √Δp from the room, behind its stage
      #
      # A reading at a point is taken with everything upstream of it off: the stages before it, and their joints.
      class Machine
        include Value

        # @!attribute key [String] of a station
        # @!attribute k [Numeric] kPa for the square of a litre a second
        # @!attribute laminar [Numeric] share of the resistance that grows with the flow itself
        # @!attribute leak [Numeric] L/s at one kPa, at the joint behind it
        Stage = Struct.new(:key, :k, :laminar, :leak, keyword_init: true) do
          def loss(flow, free)
            flow * ((turbulent * flow) + (smooth * free))
          end

          # @return [Float] what grows with the square of the flow
          def turbulent
            k * (1 - laminar)
          end

          # @return [Float] what grows with the flow, in shares of the free one
          def smooth
            k * laminar / 2
          end

          # @return [Array(Numeric, Numeric)] suction and flow behind it
          def pass(suction, flow, free)
            suction += loss(flow, free)
            flow += leak * Math.sqrt(suction) if leak.positive? && suction.positive?
            [suction, flow]
          end
        end

        # @!attribute sealed_kpa [Numeric] the fan's suction with no flow
        # @!attribute free_l_s [Numeric] its flow with no suction
        # @!attribute stages [Array<Stage>] before the fan, from the floor
        # @!attribute behind [Array<Stage>] after the fan
        # @!attribute exponent [Numeric] of the fan's curve
        # @!attribute fan [Numeric] what is left of a tired fan's pressure
        fields :sealed_kpa, :free_l_s, :stages, behind: [].freeze, exponent: 1.0, fan: 1.0

        # @param point [String] key of the stage at whose inlet the gauge is
        # @return [Float] suction there with the inlet closed, kPa
        def sealed(point)
          path = path_from(point)
          return (sealed_kpa * fan).to_f if tight?(path)

          Root.between(0.0, sealed_kpa * fan) { |suction| beyond(path, suction, 0.0) }
        end

        # @param through [Numeric] resistance of a plate at the inlet
        # @return [Float] flow into the open inlet, L/s
        def flow(point, through: 0.0)
          path = path_from(point)
          return tight_flow(path, through) if tight?(path) && exponent == 1

          Root.between(0.0, free_l_s.to_f) { |flow| beyond(path, through * flow * flow, flow) }
        end

        # @return [Float] suction behind a plate at the inlet, kPa
        def behind_plate(point, resistance)
          resistance * (flow(point, through: resistance)**2)
        end

        # With the inlet open at the first stage.
        # @return [Array<Array(String, Float)>] suction behind each stage, from the floor
        def profile
          flow = flow(stages.first.key)
          suction = 0.0
          stages.map do |stage|
            suction, flow = stage.pass(suction, flow, free_l_s)
            [stage.key, suction]
          end
        end

        # @param key [String] of a stage
        # @return [Machine] with that stage resisting more, or leaking
        def with_stage(key, k: 0.0, leak: 0.0)
          changed = [stages, behind].map do |list|
            list.map do |stage|
              next stage unless stage.key == key

              Stage.new(key: key, k: stage.k + k, laminar: stage.laminar, leak: stage.leak + leak).freeze
            end
          end
          with(stages: changed[0], behind: changed[1])
        end

        # @param kind [Symbol] :nothing, :blocked, :leak or :fan
        # @param stage [String, nil] key of one; nil for the fan
        # @param size [Numeric] what a stage resists more, in times what the whole path resists; what a joint leaks, in
        #   litres a second at one kilopascal, times the square root of what the path resists; what is left of the fan
        # @param resistance [Numeric] of what the whole path resists in order
        # @return [Machine]
        def broken(kind, stage, size, resistance: self.resistance)
          case kind
          when :blocked then with_stage(stage, k: size * resistance)
          when :leak then with_stage(stage, leak: size / Math.sqrt(resistance))
          when :fan then with(fan: size)
          else self
          end
        end

        # @return [Machine] with what is behind the fan taken off
        def without_exhaust
          with(behind: [].freeze)
        end

        # @return [Float] what the whole path resists
        def resistance
          (stages + behind).sum(&:k)
        end

        # @return [Float] the fan's suction at a flow, kPa
        def given(flow)
          share = flow / free_l_s
          sealed_kpa * fan * (1 - (exponent == 1 ? share : share**exponent))
        end

        private

        # @return [Array<Stage>] what the air goes through with everything before the point off
        def path_from(point)
          at = stages.index { |stage| stage.key == point } || stages.size
          stages.drop(at)
        end

        def tight?(path)
          path.none? { |stage| stage.leak.positive? }
        end

        # Without a leak, and with a straight fan, flow is the root of a quadratic.
        def tight_flow(path, through)
          most = sealed_kpa * fan
          whole = path + behind
          square = through + whole.sum(&:turbulent)
          line = (most / free_l_s.to_f) + (whole.sum(&:smooth) * free_l_s)
          positive_root(square, line, most)
        end

        # @return [Float] where square · x² + line · x reaches most
        def positive_root(square, line, most)
          return most / line if square.zero?

          (Math.sqrt((line**2) + (4 * square * most)) - line) / (2 * square)
        end

        # How much more suction the path takes than the fan gives: it grows with what is let in.
        def beyond(path, suction, flow)
          path.each { |stage| suction, flow = stage.pass(suction, flow, free_l_s) }
          suction + behind.sum { |stage| stage.loss(flow, free_l_s) } - given(flow)
        end
      end
    end
  end
end
