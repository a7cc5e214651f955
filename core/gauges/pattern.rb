# frozen_string_literal: true

module UprightBench
  module Core
    module Gauges
      # How a device writes its lines: what stands in braces is read, all else is as it stands, and a space is any
      # number of spaces.
      class Pattern
        LONGEST = 200
        MOST_ANY = 4 # more would let a line be tried in too many ways
        NUMBER = '[-+−]?\s*\d+(?:[.,]\d+)?'

        # @param text [String] as in "{value} {unit}"
        # @param parts [Hash{String=>String}] what may stand in braces => a regular expression
        def initialize(text, parts)
          @text = text
          @parts = { **parts, "any" => ".*?" }
        end

        # @return [Integer] how often it stands there
        def count(part)
          @text.scan("{#{part}}").size
        end

        # @return [MatchData, nil]
        def match(line)
          expression.match(line.to_s[0, LONGEST].strip)
        end

        # @param written [String] what NUMBER matched
        # @return [Float]
        def self.number(written)
          written.delete(" ").tr(",−", ".-").to_f
        end

        private

        def expression
          @expression ||= begin
            parts = @text.scan(/\{\w+\}|\s+|[^{\s]+|\{/).map { |part| part_of(part) }
            Regexp.new("\\A#{parts.join}\\z")
          end
        end

        def part_of(part)
          return '\s*' if part.match?(/\A\s/)

          @parts.fetch(part[/\A\{(\w+)\}\z/, 1]) { Regexp.escape(part) }
        end
      end
    end
  end
end
