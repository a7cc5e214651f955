# frozen_string_literal: true

require "rbconfig"

module UprightBench
  module Launch
    # Ruby's own compiler: with it a promise takes a quarter less time, and a page a tenth. Of memory it takes 32 MB for
    # what it compiles; without a limit it would take 256, for nothing that could be measured.
    module Jit
      FLAGS = %w[--yjit --yjit-exec-mem-size=32].freeze

      module_function

      # Nothing where whoever starts it gives options of their own, or where this Ruby was built without.
      # @param env [Hash]
      # @return [Hash{String=>String}] what a process finds in its environment
      def settings(env = ENV)
        return {} if env.key?("RUBYOPT") || !at_hand?

        { "RUBYOPT" => FLAGS.join(" ") }
      end

      def at_hand?
        @at_hand = system(RbConfig.ruby, *FLAGS, "-e", "", out: File::NULL, err: File::NULL) if @at_hand.nil?
        @at_hand
      end
    end
  end
end
