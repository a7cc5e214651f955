# frozen_string_literal: true

require "erb"

module UprightBench
  module Measure
    # What a page would cost if it did nothing of its own: the statements that it sends, by the bare driver, and a plain
    # template that writes as many bytes.
    class Floor
      READS = /\A(?:SELECT|WITH|EXECUTE)\b/
      private_constant :READS

      # @param statements [Array<Array(String, Array)>] SQL as it was sent, or the name of what was prepared; and what
      #   was filled in
      # @param body [String] the page
      def initialize(statements, body)
        @reads = statements.select { |sql, _| sql.match?(READS) }
        @template = ERB.new(body.to_s.gsub("<%", "<%%"))
      end

      # @return [Integer] bytes written
      def call
        DB.synchronize { |connection| @reads.each { |sql, filled_in| read(connection, sql, filled_in).values } }
        @template.result.bytesize
      end

      private

      def read(connection, sql, filled_in)
        name = sql[/\AEXECUTE (\w+)/, 1]
        name ? connection.exec_prepared(name, filled_in) : connection.async_exec(sql)
      end
    end
  end
end
