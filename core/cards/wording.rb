# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # A text of the owner's with named fields in braces, as in "Dear {customer},".
      #
      #   Wording.new(text: "Dear {customer},").fill(customer: "Edda")  # => "Dear Edda,"
      class Wording
        include Value

        fields :text

        FIELD = /\{([^{}]*)\}/

        # Raised where a field has no value: nothing is sent with a hole in it.
        class Missing < Error
          attr_reader :names

          # @param names [Array<Symbol>]
          def initialize(names)
            @names = names
            super("There is nothing to put in for #{names.map { |name| "{#{name}}" }.join(', ')}.")
          end
        end

        # @return [Array<Symbol>] in order, each once
        def names
          text.scan(FIELD).map { |found| found.first.to_sym }.uniq
        end

        # A paragraph that comes out empty is left away with its blank line.
        # @param values [Hash{Symbol=>#to_s, nil}] an empty text is a value, nil is none
        # @return [String]
        # @raise [Missing]
        def fill(values)
          missing = names.select { |name| values[name].nil? }
          raise Missing, missing if missing.any?

          filled = text.gsub("\r\n", "\n").gsub(FIELD) { values[Regexp.last_match(1).to_sym].to_s }
          filled.split(/\n[ \t]*\n/).map(&:strip).reject(&:empty?).join("\n\n")
        end
      end
    end
  end
end
