# frozen_string_literal: true

module UprightBench
  module Core
    module Suction
      # How likely the readings are with each cause of a search: what obstructs is a stage that resists more, what gapes
      # is a joint that leaks, and a worn motor, short carbons and a weak pack are a tired fan. All else is a machine
      # whose air is in order.
      class BehindFaults
        OBSTRUCTS = { filter: %i[full damp], bag: %i[full], bin: %i[full], path: %i[blocked partly],
                      screen: %i[clogged wound], cyclone: %i[packed], flap: %i[jammed] }.freeze
        GAPES = { seal: %i[dirty lifted torn], bin: %i[cracked], flap: %i[gapes broken], filter: %i[loose torn],
                  valve: %i[sticks], tank: %i[gapes], window: %i[cracked] }.freeze
        TIRES = { motor: %i[worn], carbon: %i[sparks], battery: %i[weak] }.freeze

        # @param sheet [Sheets::Sheet]
        # @param locate [Locate]
        def initialize(sheet, locate)
          @sheet = sheet
          @likelihoods = locate.likelihoods
        end

        # @param causes [Array<Faults::Cause>]
        # @return [Hash{String,nil=>Float}] by cause, and for none of them; the largest is one
        def call(causes)
          found = causes.to_h { |cause| [cause.key, of(cause)] }.merge(Faults::Belief::NONE => nothing)
          most = found.each_value.max
          most.positive? ? found.transform_values { |one| [one / most, LEAST].max } : found.transform_values { 1.0 }
        end

        # A reading may be wrong, too.
        LEAST = 1e-3

        private

        def of(cause)
          return nothing if cause.place.nil?

          place = @sheet.position(cause.place)
          kind = kind_of(place.kind, cause.fault.key)
          return @likelihoods.fetch([:fan, nil]) if kind == :fan

          @likelihoods.fetch([kind, place.station], nothing)
        end

        def kind_of(part, fault)
          { blocked: OBSTRUCTS, leak: GAPES, fan: TIRES }.find do |_, table|
            table.fetch(part, []).include?(fault)
          end&.first
        end

        def nothing
          @likelihoods.fetch([:nothing, nil])
        end
      end
    end
  end
end
