# frozen_string_literal: true

module UprightBench
  module Formats
    # A few names with their values, as somebody writes them in one line: "clip: yes, drive: left", "bag: 5; filter: 1".
    module NamedValues
      NAME = /\A[a-z][a-z0-9 _-]{0,39}\z/i
      WORD = %r{\A[\p{L}\p{N}][\p{L}\p{N} ./-]{0,59}\z}
      MOST = 12
      PIECES = /\A[1-9]\d{0,2}\z/
      SAID = { "yes" => true, "no" => false }.freeze

      module_function

      # @param text [String, nil]
      # @return [Hash{String=>true, false, String}, nil] nil where it cannot be read
      def attributes(text)
        read(text) { |value| SAID.fetch(value.downcase) { value if value.match?(WORD) } }
      end

      # @param text [String, nil]
      # @return [Hash{String=>Integer}, nil] pieces by name; nil where it cannot be read
      def pieces(text)
        read(text) { |value| value.to_i if value.match?(PIECES) }
      end

      # @param values [Hash{String=>Object}]
      # @return [String] as it would be written
      def words(values)
        values.map { |name, value| "#{name.tr('_', ' ')}: #{written(value)}" }.join(", ")
      end

      # @param value [true, false, String]
      # @return [String] as in "yes", "left"
      def written(value)
        SAID.key(value) || value
      end

      def read(text)
        pairs = pairs(text)
        return unless pairs.size <= MOST && pairs.all? { |name, value| value && name.match?(NAME) }

        values = pairs.to_h { |name, value| [name.downcase.tr(" -", "__"), yield(value)] }
        values unless values.value?(nil)
      end

      def pairs(text)
        written = text.to_s.split(/[,;\n]/).map(&:strip)
        written.reject(&:empty?).map { |pair| pair.split(":", 2).map(&:strip) }
      end
      private_class_method :read, :pairs
    end
  end
end
