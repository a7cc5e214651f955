# frozen_string_literal: true

require_relative "failure"
require_relative "shell"

module UprightBench
  module Launch
    # What our programs of the command line share. Whoever includes it has a HELP, @arguments and, where it has a place
    # for a shop, @state_dir.
    module Program
      private

      # @return [Integer] exit status of the block's work; what went wrong is said in a sentence
      def telling
        yield
        0
      rescue Failure => e
        Shell.say "That did not work: #{e.message}"
        1
      end

      # Asked for, or the arguments mean nothing here.
      # @return [Integer] exit status
      def help
        Shell.say self.class::HELP
        @arguments == ["--help"] ? 0 : 1
      end

      # @return [Boolean] whether a shop is there already
      def occupied?
        %w[postgres/data keys.json pictures].any? { |name| File.exist?(File.join(@state_dir, name)) }
      end
    end
  end
end
