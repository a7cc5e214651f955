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
        element = "<#{name}" # one string, as a page writes a thousand of these
        attributes.each do |key, value|
          element << " " << attribute(key) << '="' << escape(value) << '"' unless value.nil?
        end
        content.nil? ? element << "/>" : element << ">" << content << "</#{name}>"
      end

      def text(words, **attributes)
        tag(:text, escape(words), **attributes)
      end

      def escape(value)
        case value
        when Float then value.round(1).to_s
        when Integer then value.to_s
        else ERB::Util.html_escape(value.to_s)
        end
      end

      # viewBox is the one name that is not written with dashes.
      def attribute(key)
        (@attributes ||= {})[key] ||= key.to_s.tr("_", "-")
      end

      # @param label [String] what the drawing says, for those who cannot see it
      # @param role [String] "group" where it holds links, which an image may not
      def image(width, height, content, label:, role: "img", **attributes)
        tag(:svg, (role == "img" ? tag(:title, escape(label)) : "") + content, viewBox: "0 0 #{width} #{height}",
          role: role,
          aria_label: (label unless role == "img"), **attributes)
      end
    end
  end
end
