# frozen_string_literal: true

module UprightBench
  module Queries
    # What a shop that has had no machine yet does first, and what of it is done.
    module FirstSteps
      # words, where, and whether it is done
      Step = Struct.new(:words, :path, :done)

      module_function

      # @return [Array<Step>] none once a machine was taken in
      def call
        return [] unless Models::Job.empty?

        [Step.new("Begin the models that you see most", "/sheets", Models::Sheet.any?),
         Step.new("Put parts on file, or read a supplier's list", "/shelf", Models::Part.any?),
         Step.new("Bring your customers in from a file", "/customer-lists", Models::Customer.any?),
         Step.new("Say how many slots the drying rack has", "/rack", Models::RackSlot.in_use.any?),
         Step.new("Look through the shop rules", "/settings", Models::Policy.any?),
         Step.new("Add the people who work here", "/people", Models::Person.count > 1),
         Step.new("Take the first machine in", "/take-in", false)]
      end
    end
  end
end
