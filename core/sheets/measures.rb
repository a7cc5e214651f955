# frozen_string_literal: true

module UprightBench
  module Core
    module Sheets
      # Which measures a sheet may give for each kind of part, with their words and units. What a kind has none of is
      # told by looking. A sheet may carry others; they are kept.
      module Measures
        # @param kind [Symbol]
        # @param given [Hash{String=>Numeric}] what the sheet has already
        # @return [Hash{String=>String}] measure => words
        def self.of(kind, given = {})
          known = Kinds::ALL[kind]&.measures || {} # a draft's kind may be wrong yet
          known.merge((given.keys - known.keys).to_h { |key| [key, key.tr("_", " ")] })
        end
      end
    end
  end
end
