# frozen_string_literal: true

module UprightBench
  module Core
    # A value that holds for everything one thread does, until it is told otherwise; it is asked for when it is first
    # needed, and only then. Outside of that its default stands.
    #
    #   STYLE = Held.new(:style, "plain")
    #   STYLE.during(-> { read_from_somewhere }) { STYLE.value }
    class Held
      def initialize(name, default)
        @name = :"upright_bench_#{name}"
        @default = default
      end

      # @return [Object] frozen
      def value
        source = Thread.current.thread_variable_get(@name)
        return @default if source.nil?
        return source unless source.is_a?(Proc)

        source.call.tap { |value| Thread.current.thread_variable_set(@name, value) }
      end

      # @param source [Proc] what the value is
      # @return [Object] what the block returns
      def during(source)
        before = begin_with(source)
        yield
      ensure
        Thread.current.thread_variable_set(@name, before)
      end

      # From now on, for whoever cannot give a block.
      # @param source [Proc, nil] nil for the default
      # @return [Object, nil] what stood there before
      def begin_with(source)
        Thread.current.thread_variable_get(@name).tap { Thread.current.thread_variable_set(@name, source) }
      end
    end
  end
end
