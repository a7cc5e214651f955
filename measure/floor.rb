# frozen_string_literal: true

require "erb"

module UprightBench
  module Measure
    # What a page would cost if it did nothing of its own: the statements that it sends, by the bare driver, and a plain
    # template that writes as many bytes.
    class Floor
      # @param statements [Array<String>] SQL, as it was sent
      # @param body [String] the page
      def initialize(statements, body)
        @reads = statements.grep(/\A(?:SELECT|WITH)\b/)
        @template = ERB.new(body.to_s.gsub("<%", "<%%"))
      end

      # @return [Integer] bytes written
      def call
        DB.synchronize { |connection| @reads.each { |sql| connection.async_exec(sql).values } }
        @template.result.bytesize
      end
    end
  end
end
