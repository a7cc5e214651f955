# frozen_string_literal: true

module UprightBench
  module Queries
    # Other machines of a customer that are being worked on, and when they were promised.
    module OthersOfCustomer
      module_function

      # @param job [Models::Job]
      # @return [Array<Array(Integer, Time)>] numbers and promises
      def call(job)
        Services::PromiseTogether.others(job).select_map(%i[number promise_at])
      end
    end
  end
end
