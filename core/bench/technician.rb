# frozen_string_literal: true

module UprightBench
  module Core
    module Bench
      # Somebody who works at the bench: when, and what they may do besides what everybody may.
      class Technician
        include Value

        # @!attribute id [Integer]
        # @!attribute calendar [Calendar]
        # @!attribute skills [Array<Symbol>]
        fields :id, :calendar, skills: []

        # @param operation [Operation]
        # @return [Boolean]
        def may?(operation)
          return false if operation.technician && operation.technician != id

          operation.skill.nil? || skills.include?(operation.skill)
        end
      end
    end
  end
end
