# frozen_string_literal: true

module UprightBench
  module Core
    # Why something is as it is: which reason, and its figures. The core makes no sentences; a reason is worded where it
    # is read, in the staff's English (the room english/) or in a customer's own language (Cards::Words).
    #
    #   Reason.of(:bag_full, fill: 90, limit: 80)
    #
    # The name of a figure carries its unit: `_mm` is a length, `_on` a day. A figure may be a reason itself.
    class Reason
      include Value

      fields :key, figures: {}

      # @param figures [Hash{Symbol=>Object}] those without a value are left out
      # @return [Reason]
      def self.of(key, **figures)
        new(key: key, figures: figures.compact)
      end

      # @param text [String] a sentence that was written down
      # @return [Reason]
      def self.written(text)
        new(key: :written, figures: { text: text })
      end

      # @param stored [Hash{String=>Object}] as `to_stored` gave it, after a trip through JSON
      # @return [Reason]
      def self.stored(stored)
        figures = stored.to_hash.transform_keys(&:to_sym)
        new(key: figures.delete(:key).to_sym, figures: figures.to_h { |name, value| [name, figure(name, value)] })
      end

      def self.figure(name, value)
        return stored(value) if value.respond_to?(:key?) && value.key?("key")

        name.end_with?("_on") ? Date.iso8601(value) : value
      end
      private_class_method :figure

      # @return [Hash{String=>Object}] to be kept as JSON
      def to_stored
        { "key" => key.name, **figures.to_h { |name, value| [name.name, self.class.plain(value)] } }
      end

      def self.plain(value)
        case value
        when Reason then value.to_stored
        when Date then value.iso8601
        when Array then value.map { |item| plain(item) }
        when Symbol then value.name
        else value
        end
      end
    end
  end
end
