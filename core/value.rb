# frozen_string_literal: true

module UprightBench
  module Core
    # What a value of the core is made of: keywords only, every one named and checked, frozen with
    # all it holds (what comes frozen is taken to be so all through), equal by content.
    #
    #   class Hours
    #     include Value
    #     fields :limit, unit: nil
    #   end
    #   Hours.new(limit: 50).with(limit: 60)
    #
    # A class may define a private `check`, which runs before freezing and raises ArgumentError.
    module Value
      def self.included(base)
        base.extend(Declaration)
      end

      # What a class of values is declared with.
      module Declaration
        # `fields :required, optional: default`. What follows is written out, as one would by hand: values are made and
        # compared by the hundred thousand, and Ruby checks keywords faster than we could.
        def fields(*required, **optional)
          names = [*required, *optional.keys]
          const_set(:DEFAULTS, optional.freeze)
          attr_reader(*names)

          keywords = required.map { |name| "#{name}:" } +
                     optional.keys.map { |name| "#{name}: DEFAULTS.fetch(:#{name})" }
          class_eval(<<~RUBY, __FILE__, __LINE__ + 1) # rubocop:disable Style/DocumentDynamicEvalDefinition
            def initialize(#{keywords.join(', ')})        # def initialize(kind:, limit:, each_hours: DEFAULTS.fetch(:each_hours))
              #{names.map { |name| "@#{name} = #{name}.frozen? ? #{name} : Value.deep_freeze(#{name})" }.join("\n")}
              check
              freeze
            end

            def to_h                                      # def to_h
              { #{names.map { |name| "#{name}: @#{name}" }.join(', ')} }
            end

            def same?(other)                              # def same?(other)
              #{['true', *names.map { |name| "@#{name} == other.#{name}" }].join(' && ')}
            end
          RUBY
        end
      end

      def with(**changes)
        self.class.new(**to_h, **changes)
      end

      def ==(other)
        equal?(other) || (other.class == self.class && same?(other))
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
    end
  end
end
