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
      end
    end
  end
end
