# frozen_string_literal: true

module UprightBench
  module Services
    # Every date of a machine as it would be if it were used otherwise. Nothing is kept.
    class WhatIf
      # @!attribute dues [Array<Models::Due>] not saved, soonest first
      # @!attribute use [Core::Use::Rate] what was tried, with what was read
      Answer = Struct.new(:dues, :use)

      # @param machine [Models::Machine]
      # @param hours_per_week [Numeric, nil] nil when nothing was said
      # @param traits [Array<String>] of the household
      # @return [Answer]
      def self.call(machine, hours_per_week:, traits:, on:)
        other = machine.dup
        other.set(hours_per_week: hours_per_week, traits: Sequel.pg_array(traits, :text))
        Answer.new(SetClocks.new(other, on).would_be, other.use_rate(on))
      end
    end
  end
end
