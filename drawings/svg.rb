# frozen_string_literal: true

require "erb"

module UprightBench
  module Drawings
    # Writes SVG: elements with escaped attributes and text. Looks come from the stylesheet's classes, because
    # the pages allow no styles of their own.
    module Svg
      module_function

      # @param name [Symbol]
      # @param content [String] SVG already
      # @return [String]
      def tag(name, content = nil, **attributes)
        written = attributes.compact.map { |key, value| %( #{key.to_s.tr('_', '-')}="#{escape(value)}") }.join
        content.nil? ? "<#{name}#{written}/>" : "<#{name}#{written}>#{content}</#{name}>"
      end

      def text(words, **attributes)
        tag(:text, escape(words), **attributes)
      end

      def escape(value)
        value = value.round(1) if value.is_a?(Float)
        ERB::Util.html_escape(value.to_s)
      end

      # @param label [String] what the drawing says, for those who cannot see it
      def image(width, height, content, label:, **attributes)
        tag(:svg, tag(:title, escape(label)) + content, viewBox: "0 0 #{width} #{height}", role: "img", **attributes)
      end
    end
  end
end
