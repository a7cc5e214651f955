# frozen_string_literal: true

module UprightBench
  module Formats
    # A list whose columns nobody has said the meaning of yet; `headers` are theirs.
    class Unmapped < Malformed
      attr_reader :headers

      # @param headers [Array<String>]
      def initialize(headers, problems)
        @headers = headers
        super(problems)
      end
    end
  end
end
