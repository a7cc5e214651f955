# frozen_string_literal: true

require "strscan"

module UprightBench
  module Formats
    # On which line does each value of a JSON text (RFC 8259) begin? For text that parses already.
    #
    #   JsonLines.new(%({\n"a": [1,\n2]})).call  # => { [] => 1, ["a"] => 2, ["a", 0] => 2, ["a", 1] => 3 }
    class JsonLines
      SPACE = /[ \t\r\n]*/
      STRING = /"(?:[^"\\]|\\.)*"/
      PLAIN = /[^\s,\]}]+/

      def initialize(text)
        @scanner = StringScanner.new(text)
        @breaks = text.each_char.with_index.filter_map { |sign, at| at if sign == "\n" }
        @lines = {}
      end

      # @return [Hash{Array=>Integer}] path => line, from 1
      def call
        value([])
        @lines
      end

      private

      def value(path)
        @scanner.skip(SPACE)
        @lines[path] = line
        if @scanner.skip(/\{/) then list(/\}/) { value(path + [key]) }
        elsif @scanner.skip(/\[/) then list(/\]/) { |index| value(path + [index]) }
        else
          @scanner.skip(STRING) || @scanner.skip(PLAIN)
        end
      end

      def list(ending)
        index = 0
        until @scanner.skip(SPACE) && @scanner.skip(ending)
          yield index
          index += 1
          @scanner.skip(/[ \t\r\n]*,/)
        end
      end

      def key
        @scanner.skip(SPACE)
        name = JSON.parse(@scanner.scan(STRING))
        @scanner.skip(/[ \t\r\n]*:/)
        name
      end

      def line
        @breaks.bsearch_index { |at| at >= @scanner.charpos }.then { |found| (found || @breaks.size) + 1 }
      end
    end
  end
end
