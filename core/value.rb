# frozen_string_literal: true

module UprightBench
  module Core
    # What a value of the core is made of: keywords only, every one named and checked, frozen with
    # all it holds, equal by content.
    #
    #   class Clock
    #     include Value
    #     fields :kind, :limit, each_hours: nil
    #   end
    #   Clock.new(kind: :hours, limit: 50).with(limit: 60)
    #
    # A class may define a private `check`, which runs before freezing and raises ArgumentError.
    module Value
      def self.included(base)
        base.extend(Declaration)
      end

      # `fields :required, optional: default`
      module Declaration
        def fields(*required, **optional)
          @required = required.freeze
          @optional = optional.freeze
          attr_reader(*required, *optional.keys)
        end

        attr_reader :required, :optional
      end

      # @raise [ArgumentError] when a field is missing or unknown, or when the class's own check fails
      def initialize(**given)
        refuse_unknown(given)
        self.class.required.each { |name| instance_variable_set(:"@#{name}", given.fetch(name) { missing(name) }) }
        self.class.optional.each { |name, default| instance_variable_set(:"@#{name}", given.fetch(name, default)) }
        check
        instance_variables.each { |name| Value.deep_freeze(instance_variable_get(name)) }
        freeze
      end

      def to_h
        (self.class.required + self.class.optional.keys).to_h { |name| [name, public_send(name)] }
      end

      def with(**changes)
        self.class.new(**to_h, **changes)
      end

      def ==(other)
        other.class == self.class && other.to_h == to_h
      end
      alias eql? ==

      def hash
        [self.class, to_h].hash
      end

      def self.deep_freeze(object)
        case object
        when Hash then object.each_value { |value| deep_freeze(value) }
        when Array then object.each { |value| deep_freeze(value) }
        end
        object.freeze
      end

      private

      def check; end

      def missing(name)
        raise ArgumentError, "#{self.class.name}: #{name} is missing"
      end

      def refuse_unknown(given)
        unknown = given.keys - self.class.required - self.class.optional.keys
        raise ArgumentError, "#{self.class.name}: no field #{unknown.join(', ')}" if unknown.any?
      end
    end
  end
end
