# frozen_string_literal: true

require "parser/current"

module UprightBench
  module Measure
    # Assertions that cannot fail, as far as that can be seen by reading: of a constant, of a thing compared with
    # itself, of a list minus itself, and in a loop that never runs. That a test asserts nothing at all is seen when it
    # runs (Launch::Tests::OneProcess).
    #
    #   Measure::Assertions.new("x_test.rb", source).all   # => ["x_test.rb:12 assert true"]
    class Assertions
      ASSERTION = /\A(?:assert|refute)(?:_\w+)?\z/
      OF_ONE = %i[assert refute assert_nil refute_nil assert_empty refute_empty].freeze
      OF_TWO = %i[assert_equal assert_same assert_includes].freeze
      CONSTANT = %i[true false nil int float str sym regexp].freeze
      NOT_NEGATIVE = %i[size count length].freeze
      LOOPS = %i[each each_with_index each_value each_key map times each_slice each_cons].freeze

      # @param root [String] of the project
      # @return [Array<String>] of all tests, file, line and words
      def self.of_all(root)
        Dir.glob("test/**/*.rb", base: root).sort.flat_map { |file| new(file, File.read(File.join(root, file))).all }
      end

      # @param file [String]
      # @param source [String] bytes that are no text are left out of it: the parser refuses them
      def initialize(file, source)
        @file = file
        @source = source.gsub(/\\x\h\h/, "x")
      end

      # @return [Array<String>]
      def all
        tree = Parser::CurrentRuby.parse(@source) or return []
        walk(tree).select { |node| cannot_fail?(node) }
          .map { |node| "#{@file}:#{node.location.line} #{node.location.expression.source.lines.first.strip}" }
      end

      private

      def walk(node)
        [node, *node.children.grep(Parser::AST::Node).flat_map { |child| walk(child) }]
      end

      def cannot_fail?(node)
        return empty_loop?(node) if node.type == :block
        return false unless node.type == :send && node.children[0].nil? && node.children[1].match?(ASSERTION)

        _, name, *values = node.children
        of_one?(name, values.first) || of_two?(name, values) || operator?(name, values)
      end

      def of_one?(name, value)
        OF_ONE.include?(name) && !value.nil? && (constant?(value) || minus_itself?(value))
      end

      def of_two?(name, values)
        OF_TWO.include?(name) && values.size > 1 &&
          (same?(values[0], values[1]) || values.first(2).all? { |value| constant?(value) })
      end

      # Nothing has fewer than no pieces, and nothing is greater than itself.
      def operator?(name, values)
        return false unless name == :assert_operator && values.size > 2

        left, sign, right = values
        return true if %i[<= >= ==].include?(sign.children.first) && same?(left, right)

        sign.children.first == :>= && right.type == :int && right.children.first <= 0 && counted?(left)
      end

      def counted?(node)
        node.type == :send && NOT_NEGATIVE.include?(node.children[1])
      end

      # A loop over nothing with an assertion in it.
      def empty_loop?(node)
        call, _, body = node.children
        return false unless call.type == :send && LOOPS.include?(call.children[1]) && body

        over = call.children[0]
        nothing?(over) && walk(body).any? { |inner| inner.type == :send && inner.children[1].match?(ASSERTION) }
      end

      def nothing?(node)
        return false if node.nil?

        (%i[array
            hash].include?(node.type) && node.children.empty?) || (node.type == :int && node.children.first.zero?) ||
          minus_itself?(node)
      end

      # A list minus a list that holds it: "a - a", and "%w[x] - b - %w[x]".
      def minus_itself?(node)
        return false unless node.type == :send && node.children[1] == :-

        first, *taken = parts(node)
        taken.any? { |part| same?(first, part) || holds?(part, first) }
      end

      # @return [Array<Parser::AST::Node>] of "a - b - c"
      def parts(node)
        return [node] unless node.type == :send && node.children[1] == :-

        [*parts(node.children[0]), node.children[2]]
      end

      def holds?(list, other)
        [list, other].all? { |node| node.type == :array } && (other.children - list.children).empty?
      end

      def same?(one, other)
        one == other && walk(one).none? { |node| node.type == :send && changing?(node) }
      end

      # What is asked twice on purpose: a call on nothing or with a bang may answer otherwise the second time.
      def changing?(node)
        receiver, name, value = node.children
        name.end_with?("!") || name == :call || (receiver.nil? && !value.nil?)
      end

      def constant?(node)
        CONSTANT.include?(node.type) || (%i[array hash].include?(node.type) && node.children.all? do |part|
          constant?(part)
        end)
      end
    end
  end
end
