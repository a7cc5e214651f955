# frozen_string_literal: true

require "json"

module UprightBench
  module Config
    # An error in the log: what kind it is and where it came from, never what it says. What a database or Ruby itself
    # says of an error holds whole rows and objects: names, addresses, codes.
    module Report
      FRAMES = 8
      # What PostgreSQL tells of an error besides its words; none of it is a value.
      FIELDS = { table: "PG::PG_DIAG_TABLE_NAME", constraint: "PG::PG_DIAG_CONSTRAINT_NAME",
                 column: "PG::PG_DIAG_COLUMN_NAME" }.freeze

      module_function

      # @param error [Exception]
      # @param more [Hash] as in id: of the request, or what: of the task
      def error(error, out: $stderr, **more)
        out.puts JSON.generate({ at: Time.now.utc.iso8601, **more, error: error.class.name, **database(error),
                                 **named(error), where: error.backtrace&.first(FRAMES) }.compact)
      end

      def database(error)
        cause = [error, error.cause].find { |raised| raised.is_a?(PG::Error) }
        result = cause&.result or return {}

        { sqlstate: result.error_field(PG::PG_DIAG_SQLSTATE),
          **FIELDS.transform_values { |name| result.error_field(Object.const_get(name)) } }
      end

      # The method or constant that is not there.
      def named(error)
        error.is_a?(NameError) ? { name: error.name.to_s } : {}
      end
      private_class_method :database, :named
    end
  end
end
