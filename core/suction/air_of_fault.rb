# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # What a fault does to the air of a machine: what obstructs is a stage that resists more, what gapes is a joint
      # that leaks, and a worn motor, short carbons and a weak pack are a tired fan. With all else the air is in order.
      class AirOfFault
        OBSTRUCTS = { filter: %i[full damp], bag: %i[full], bin: %i[full], path: %i[blocked partly],
                      screen: %i[clogged wound], cyclone: %i[packed], flap: %i[jammed] }.freeze
        GAPES = { seal: %i[dirty lifted torn], bin: %i[cracked], flap: %i[gapes broken], filter: %i[loose torn],
                  valve: %i[sticks], tank: %i[gapes], window: %i[cracked] }.freeze
        TIRES = { motor: %i[worn], carbon: %i[sparks], battery: %i[weak] }.freeze
        NOTHING = [:nothing, nil].freeze

        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @param cause [Faults::Cause]
        # @return [Array(Symbol, String)] kind and stage of the explanation that Locate has for it
        def call(cause)
          return NOTHING if cause.place.nil?

          place = @sheet.position(cause.place)
          case kind_of(place.kind, cause.fault.key)
          when :blocked then [:blocked, place.station]
          when :leak then [:leak, place.station]
          when :fan then [:fan, nil]
          else NOTHING
          end
        end

        # @param causes [Array<Faults::Cause>]
        # @param belief [Hash{String,nil=>Float}] by cause
        # @return [Hash{Array(Symbol, String)=>Float}] how likely each explanation is by that
        def weights(causes, belief)
          causes.group_by { |cause| call(cause) }
            .transform_values { |same| same.sum { |cause| belief.fetch(cause.key, 0.0) } }
            .tap { |found| found[NOTHING] = found.fetch(NOTHING, 0.0) + belief.fetch(Faults::Belief::NONE, 0.0) }
        end

        private

        def kind_of(part, fault)
          { blocked: OBSTRUCTS, leak: GAPES, fan: TIRES }.find do |_, table|
            table.fetch(part, []).include?(fault)
          end&.first
        end
      end
    end
  end
end
