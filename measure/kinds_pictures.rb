# frozen_string_literal: true

require "cgi"

module UprightBench
  module Measure
    # Every kind of part in every state it may be found in, drawn on one sheet: to look at, whether each is to be
    # recognised. A kind that goes by a measure is drawn at the least and the most of it.
    class KindsPictures
      STYLES = %w[base staff].map { |name| File.expand_path("../public/styles/#{name}.css", __dir__) }.freeze
      LAYOUT = "main{display:grid;grid-template-columns:repeat(7,minmax(0,1fr));gap:4px;padding:8px}figure{margin:0}" \
               "figcaption{font-size:11px}svg.gauge{width:100%;min-width:0;height:auto}"
      POLICY = Core::Findings::Policy.new

      # @param file [String] HTML
      def write(file)
        File.write(file, page)
      end

      # @return [String] HTML
      def page
        "<!doctype html><meta charset=utf-8><title>Kinds of part</title><style>#{styles}#{LAYOUT}</style>" \
          "<main>#{figures.join}</main>"
      end

      private

      def styles
        STYLES.map { |file| File.read(file) }.join
      end

      def figures
        Core::Kinds.all.flat_map { |kind| seen(kind).map { |observed| figure(kind, observed) } }
      end

      # Each state; of what is measured the least and the most; each thing that is so or not.
      def seen(kind)
        kind.own_fields.flat_map do |name, field|
          values = name == kind.states_in || field.type != :measure ? field.sample_values : field.range.minmax
          values.map { |value| { name => value } }
        end
      end

      def figure(kind, observed)
        place = Core::Sheets::Position.new(key: "here", name: "Here", station: "there", kind: kind.key)
        drawing = Drawings::Gauge.new(position: place, observed: observed, policy: POLICY).render
        said = observed.map { |name, value| value == true ? name : value }.join(", ")
        "<figure>#{drawing}<figcaption>#{CGI.escapeHTML("#{kind.key}: #{said}")}</figcaption></figure>"
      end
    end
  end
end
