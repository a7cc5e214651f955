# frozen_string_literal: true

require "digest"

module UprightBench
  module Core
    module Access
      # A seal on an event: a digest that takes the seal before it, what happened, and a digest of a salt and the detail
      # (SHA-256, FIPS 180-4). Whoever changes an event, or takes one out, would have to make all seals after it anew.
      module Seal
        FIRST = ("\0" * 32).b.freeze # before there is any
        SALT_BYTES = 16
        # What is sealed of an event, in this order.
        FACTS = %i[id at_microseconds person_id actor verb subject subject_id job_id address].freeze

        module_function

        # @param salt [String] bytes
        # @param detail [String] JSON, as the database writes it
        # @return [String] 32 bytes
        def detail(salt, detail)
          Digest::SHA256.digest(salt.b + detail.b)
        end

        # @param before [String] the seal before this one
        # @param facts [Hash{Symbol=>Object}] FACTS
        # @param detail [String] its digest
        # @return [String] 32 bytes
        def next(before, facts, detail)
          Digest::SHA256.digest(before.b + plain(facts).b + detail.b)
        end

        # Each with its length, so that nothing can be moved from one into the next.
        def plain(facts)
          facts.fetch_values(*FACTS).map { |value| value.nil? ? "-" : "#{value.to_s.bytesize}:#{value}" }.join(",")
        end
        private_class_method :plain
      end
    end
  end
end
