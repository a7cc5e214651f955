# frozen_string_literal: true

module UprightBench
  module Screens
    # The options of a select, as HTML. A long list that is always the same is written once in the life of a process.
    class Options
      # @param choices [Hash{Object=>String}] value => words
      # @return [Options]
      def self.of(choices)
        choices.is_a?(self) ? choices : new(choices)
      end

      # @param none [String, nil] what stands before them, for none of them
      # @return [Options] all countries, by name
      def self.countries(none = nil)
        (@countries ||= {})[none] ||= new({ **(none ? { "" => none } : {}), **Formats::PostalAddress.countries })
      end

      # @return [Options] that of this machine, and each by its name
      def self.time_zones
        @time_zones ||= new({ "" => "That of this machine: #{SETTINGS.time_zone}",
                              **Formats::TimeZones.all.to_h { |name| [name, name] } })
      end

      def initialize(choices)
        @places = choices.keys.each_with_index.to_h { |value, place| [value.to_s, place] }
        @options = choices.map { |value, words| %(<option value="#{escape(value)}">#{escape(words)}</option>) }
      end

      # @param value [String] what is chosen
      # @return [String] HTML
      def with(value)
        place = @places[value.to_s] or return @options.join

        chosen = @options[place].sub(">", " selected>")
        [*@options.first(place), chosen, *@options.drop(place + 1)].join
      end

      private

      def escape(text)
        ::Rack::Utils.escape_html(text.to_s)
      end
    end
  end
end
