# frozen_string_literal: true

require "erb"

module UprightBench
  module Measure
    # What a page would cost if it did nothing of its own: the statements that it sends, by the bare driver, and a plain
    # template that writes as many bytes.
    class Floor
      # Keeps what a database is asked.
      module Recorded
        # @return [Array<Array(String, Array)>, nil] texts, with what is sent beside each; none is kept while nil
        attr_accessor :asked

        private

        def _execute(_, sql, opts, &)
          asked&.push([sql, opts[:arguments]]) if sql.is_a?(String)
          super
        end
      end

      # @param statements [Array<Array(String, Array)>] SQL as it was sent, with its parameters
      # @param body [String] the page
      def initialize(statements, body)
        @reads = statements.select { |sql, _| sql.match?(/\A(?:SELECT|WITH)\b/) }
        @template = ERB.new(body.to_s.gsub("<%", "<%%"))
      end

      # @return [Integer] bytes written
      def call
        DB.synchronize { |connection| @reads.each_with_index { |read, place| ask(connection, place, *read) } }
        @template.result.bytesize
      end

      private

      # Prepared, as the page's are.
      def ask(connection, place, sql, given)
        return connection.async_exec(sql).values unless given

        names[place] ||= "floor_#{object_id}_#{place}".tap { |name| connection.prepare(name, sql) }
        connection.exec_prepared(names[place], given.map { |value| DB.bound_variable_arg(value, connection) }).values
      end

      def names
        @names ||= {}
      end
    end
  end
end
