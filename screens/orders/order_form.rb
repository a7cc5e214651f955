# frozen_string_literal: true

module UprightBench
  module Screens
    module Orders
      # How many of each: of parts that are ordered, or of lines of which something came.
      class OrderForm < Form
        takes do
          params do
            required(:request_key).filled(:string, format?: TakeIn::TakeInForm::UUID)
            required(:pieces).filled(:hash)
          end
        end

        WHOLE = /\A\d{1,4}\z/

        # @param typed [Hash{String=>Object}] pieces: id => number; an empty field is none
        def initialize(typed = {})
          super
          wrong = given.reject { |id, count| id.match?(/\A\d{1,18}\z/) && (count.empty? || count.match?(WHOLE)) }
          add(pieces: ["must be whole numbers from 0 to 9999"]) if wrong.any?
        end

        # @return [Hash{Integer=>Integer}]
        def pieces
          given.to_h { |id, count| [id.to_i, count.to_i] }
        end

        # @return [String, nil] as typed for one of them
        def piece(id)
          given[id.to_s]
        end

        private

        def given
          pieces = typed["pieces"]
          pieces.is_a?(Hash) ? pieces.to_h { |id, count| [id.to_s, count.to_s.strip] } : {}
        end
      end
    end
  end
end
