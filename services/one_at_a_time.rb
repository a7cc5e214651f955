# frozen_string_literal: true

module UprightBench
  module Services
    # Makes those wait who are about to make the same thing, where there is no row yet that could be locked. The lock
    # falls with the transaction, and whoever waited sees what the other one made.
    module OneAtATime
      module_function

      # @param what [String] kind of thing, as in "take-in"
      # @param key [String] which of them
      def wait(what, key)
        DB.get(Sequel.function(:pg_advisory_xact_lock, Sequel.function(:hashtextextended, "#{what} #{key}", 0)))
      end
    end
  end
end
