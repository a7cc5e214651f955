# frozen_string_literal: true

module UprightBench
  module Core
    module Faults
      # One thing that can be wrong with a kind of part, or with how a machine is set.
      #
      # @!attribute seen [Float] how often a look at the place shows it, when it is there
      # @!attribute air [Symbol] of AIR: what it does to the air
      # @!attribute explains [Hash{Symbol=>Numeric, Hash}] complaint => how often it is behind it, beside the weights of
      #   the other faults; where that differs by kind of machine or its power, a Hash with :any for the others
      # @!attribute behind_it [Hash{Symbol=>Array<Symbol>}] kind of part => its faults that may have caused this one, so
      #   that it does not come back
      # @!attribute shown_by [Symbol, nil] of TRIALS: what parts it from others without taking it apart
      # @!attribute told_by [Array<Symbol>] reasons of a finding that say it too, as a run time that was measured does
      # @!attribute observed [Hash{Symbol=>Object}] what a finding of it says: its verdict, and so who mends it and how,
      #   follow from that; empty for a setting
      class Fault
        include Value

        # A fault blocks a station, so that it resists more; or lets a joint leak; or tires the fan; or leaves the air
        # alone.
        AIR = %i[blocked leak fan nothing].freeze
        TRIALS = %i[a_good_one leaving_it_out].freeze

        fields :key, :seen, :air, :explains, :behind_it, :shown_by, told_by: [].freeze, observed: {}.freeze

        # @param complaint [Symbol]
        # @param sheet [Sheets::Sheet]
        # @return [Numeric, nil] nil where it explains nothing of it
        def weight(complaint, sheet)
          often = explains[complaint]
          return often unless often.is_a?(Hash)

          often.fetch(sheet.kind) { often.fetch(sheet.power) { often.fetch(:any) } }
        end

        private

        def check
          raise ArgumentError, "#{key} is seen always or never" unless seen.positive? && seen <= 1
          raise ArgumentError, "#{key}: no air #{air}" unless AIR.include?(air)
          raise ArgumentError, "#{key}: no trial #{shown_by}" unless shown_by.nil? || TRIALS.include?(shown_by)
        end
      end
    end
  end
end
