# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # Says at which station a fault changes the air, and how. The fault itself says how; a setting changes nothing.
      class AirOfFault
        NOTHING = [:nothing, nil].freeze

        # @param sheet [Sheets::Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @param cause [Faults::Cause]
        # @return [Array(Symbol, String)] kind and stage of the explanation that Locate has for it
        def call(cause)
          return NOTHING if cause.place.nil?

          case cause.fault.air
          when :blocked, :leak then [cause.fault.air, @sheet.position(cause.place).station]
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
      end
    end
  end
end
