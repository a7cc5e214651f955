# frozen_string_literal: true

module UprightBench
  module Measure
    class Mutants
      # Where a file may be changed, and into what: operators, bounds, guards and constants.
      class Sites
        # A change: `from` and `to` in the source, and what stands there instead.
        Site = Struct.new(:file, :source, :from, :to, :text, :line, keyword_init: true) do
          def changed
            source[0...from] + text + source[to..]
          end

          # @return [String] as in "core/fit/size.rb:12 a < b → a <= b"
          def to_s
            change.sub(file, "#{file}:#{line}")
          end

          # @return [String] the same wherever it stands in its file
          def change
            "#{file} #{source.lines[line - 1].strip} [#{source[from...to]} → #{text}]"
          end
        end

        SWAPPED = { :< => "<=", :<= => "<", :> => ">=", :>= => ">", :+ => "-", :- => "+", :* => "/", :/ => "*",
                    :== => "!=", :!= => "==", min: "max", max: "min", any?: "all?", all?: "any?", first: "last",
                    last: "first", floor: "ceil", ceil: "floor", select: "reject", reject: "select" }.freeze

        def initialize(file, source)
          @file = file
          @source = source
        end

        # @return [Array<Site>]
        def all
          tree = Parser::CurrentRuby.parse(@source) or return []
          walk(tree).flat_map { |node| changes(node) }
        end

        private

        def walk(node)
          [node, *node.children.grep(Parser::AST::Node).flat_map { |child| walk(child) }]
        end

        def changes(node)
          case node.type
          when :send then operator(node)
          when :int then [site(node.location.expression, (node.children.first + 1).to_s)]
          when :true, :false then [site(node.location.expression, (node.type == :false).to_s)] # rubocop:disable Lint/BooleanSymbol
          when :and, :or then [connective(node.location.operator)]
          when :if then [condition(node)]
          else []
          end
        end

        def connective(range)
          site(range, { "&&" => "||", "||" => "&&", "and" => "or", "or" => "and" }.fetch(range.source))
        end

        def operator(node)
          swapped = SWAPPED[node.children[1]]
          swapped && node.children[0] && node.location.selector ? [site(node.location.selector, swapped)] : []
        end

        def condition(node)
          range = node.children.first.location.expression
          site(range, "!(#{range.source})")
        end

        def site(range, text)
          Site.new(file: @file, source: @source, from: range.begin_pos, to: range.end_pos, text: text, line: range.line)
        end
      end
    end
  end
end
