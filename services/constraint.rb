# frozen_string_literal: true

module UprightBench
  module Services
    # Tells a rule of the database that was broken by its name, as the driver gives it: the one place that does.
    #
    #   Constraint.told("suppliers_name" => -> { raise Invalid, ... }) { supplier.save }
    module Constraint
      module_function

      # @param answers [Hash{String=>Proc}] name of a constraint or a unique index => what to do when it is broken
      # @return [Object] what the block returns, or the answer
      # @raise [Sequel::ConstraintViolation] any other
      def told(answers)
        yield
      rescue Sequel::ConstraintViolation => e
        answer = answers[DB.error_info(e)[:constraint]] or raise
        answer.call
      end
    end
  end
end
