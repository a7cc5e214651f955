# frozen_string_literal: true

module UprightBench
  module Services
    # From where somebody of the staff does what is being done, for the history. Each request says it anew before
    # anything else; whoever is a customer leaves no address.
    module Whence
      KEY = :upright_bench_whence
      private_constant :KEY

      # @return [String, nil]
      def self.now
        Thread.current[KEY]
      end

      # @param address [String, nil]
      def self.now=(address)
        Thread.current[KEY] = address
      end
    end
  end
end
