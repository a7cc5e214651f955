# frozen_string_literal: true

module UprightBench
  module Services
    # A step of the plan as somebody wants it: who does it, not before when, and whether it stays where it is. Who is
    # not at the bench any more, or may not do it, is not asked to.
    class Wished
      # @param wish [Hash] person_id, not_before, pinned
      # @param bench [BenchAt]
      def initialize(wish, bench:)
        @wish = wish
        @bench = bench
      end

      # @param operation [Core::Bench::Operation]
      # @return [Core::Bench::Operation]
      def call(operation)
        operation.with(technician: able(operation)&.id, pinned: @wish[:pinned], **later(operation))
      end

      private

      def able(operation)
        @bench.shop.technicians.find { |technician| technician.id == @wish[:person_id] && technician.may?(operation) }
      end

      # What is late for somebody's sake does not come late by itself.
      def later(operation)
        minute = @wish[:not_before] ? @bench.minutes(@wish[:not_before]) : 0
        minute > operation.not_before ? { not_before: minute, late_spread: 0.0 } : {}
      end
    end
  end
end
