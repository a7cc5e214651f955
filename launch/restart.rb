# frozen_string_literal: true

require_relative "failure"
require_relative "shell"

module UprightBench
  module Launch
    # A database cluster that ended by itself is started again, where it was. Until it can be, it is tried again: what
    # it left behind may still be ending, or its disk be full.
    module Restart
      LONGEST_PAUSE_SECONDS = 30

      module_function

      # @param cluster [#go_on] a Cluster
      # @param pause [Numeric] seconds until it is tried a second time; twice as many before each further one
      def of(cluster, pause: 1)
        Shell.say "The database ended by itself and is started again."
        begin
          cluster.go_on
        rescue Failure => e
          Shell.say "#{e.message}. It is tried again in #{pause} s."
          sleep pause
          pause = [pause * 2, LONGEST_PAUSE_SECONDS].min
          retry
        end
      end
    end
  end
end
