# frozen_string_literal: true

module UprightBench
  module Services
    # Every date of a machine as it would be if it were used otherwise. Nothing is kept.
    class WhatIf
      # @param machine [Models::Machine]
      # @param hours_per_week [Numeric, nil] nil when nothing was said
      # @param traits [Array<String>] of the household
      # @return [Array<Models::Due>] not saved, soonest first
      def self.call(machine, hours_per_week:, traits:, on:)
        other = machine.dup
        other.set(hours_per_week: hours_per_week, traits: Sequel.pg_array(traits, :text))
        SetClocks.new(other, on).would_be
      end
    end
  end
end
