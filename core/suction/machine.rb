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
            k * flow * (((1 - laminar) * flow) + (laminar * free / 2))
          end
        end

        # @!attribute sealed_kpa [Numeric] the fan's suction with no flow
        # @!attribute free_l_s [Numeric] its flow with no suction
        # @!attribute stages [Array<Stage>] before the fan, from the floor
        # @!attribute behind [Array<Stage>] after the fan
        # @!attribute exponent [Numeric] of the fan's curve
        # @!attribute fan [Numeric] what is left of a tired fan's pressure
        fields :sealed_kpa, :free_l_s, :stages, behind: [].freeze, exponent: 1.0, fan: 1.0

        STEPS = 34 # halvings: a hundredth of what a gauge shows, a million times over
        private_constant :STEPS

        # @param point [String] key of the stage at whose inlet the gauge is
        # @return [Float] suction there with the inlet closed, kPa
        def sealed(point)
          halved(sealed_kpa * fan) { |suction| beyond(point, suction, 0.0) }
        end

        # @param through [Numeric] resistance of a plate at the inlet
        # @return [Float] flow into the open inlet, L/s
        def flow(point, through: 0.0)
          halved(free_l_s) { |flow| beyond(point, through * flow * flow, flow) }
        end

        # @return [Float] suction behind a plate at the inlet, kPa
        def behind_plate(point, resistance)
          resistance * (flow(point, through: resistance)**2)
        end

        # With the inlet open at the first stage.
        # @return [Array<Array(String, Float)>] suction behind each stage, from the floor
        def profile
          flow = flow(stages.first.key)
          walk(stages, 0.0, flow).first
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

        # @return [Float] what the whole path resists
        def resistance
          (stages + behind).sum(&:k)
        end

        private

        # How much more suction the path takes than the fan gives: it grows with what is let in.
        def beyond(point, suction, flow)
          at = stages.index { |stage| stage.key == point } || stages.size
          _, suction, flow = walk(stages[at..], suction, flow)
          suction + behind.sum { |stage| stage.loss(flow, free_l_s) } - given(flow)
        end

        # @return [Float] the fan's suction at a flow
        def given(flow)
          sealed_kpa * fan * (1 - ((flow / free_l_s)**exponent))
        end

        def walk(list, suction, flow)
          seen = list.map do |stage|
            suction += stage.loss(flow, free_l_s)
            flow += stage.leak * Math.sqrt([suction, 0].max)
            [stage.key, suction]
          end
          [seen, suction, flow]
        end

        def halved(most)
          low = 0.0
          high = most.to_f
          STEPS.times do
            middle = (low + high) / 2
            yield(middle).positive? ? high = middle : low = middle
          end
          (low + high) / 2
        end
      end
    end
  end
end
