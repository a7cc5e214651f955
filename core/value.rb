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
          @declared = required.to_h { |name| [name, REQUIRED] }.merge(optional).freeze
          @slots = @declared.to_h { |name, _| [name, :"@#{name}"] }.freeze
          attr_reader(*@declared.keys)
        end

        # Field => default, or REQUIRED.
        attr_reader :declared

        # Field => the instance variable that holds it.
        attr_reader :slots
      end

      REQUIRED = Object.new.freeze
      private_constant :REQUIRED

      # @raise [ArgumentError] when a field is missing or unknown, or when the class's own check fails
      def initialize(**given)
        declared = self.class.declared
        refuse_unknown(given, declared)
        self.class.slots.each do |name, slot|
          value = given.fetch(name) { declared.fetch(name) }
          missing(name) if REQUIRED.equal?(value)
          instance_variable_set(slot, Value.deep_freeze(value))
        end
        check
        freeze
      end

      def to_h
        self.class.slots.transform_values { |slot| instance_variable_get(slot) }
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

      def refuse_unknown(given, declared)
        return if given.each_key.all? { |name| declared.key?(name) }

        raise ArgumentError, "#{self.class.name}: no field #{(given.keys - declared.keys).join(', ')}"
      end
    end
  end
end
