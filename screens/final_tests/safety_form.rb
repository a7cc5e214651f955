# frozen_string_literal: true

module UprightBench
  module Screens
    module FinalTests
      # What is written down of a test of electrical safety.
      module SafetyForm
        module_function

        # @return [Hash] as Services::RecordSafetyTest takes it
        # @raise [Services::Invalid]
        def read(typed)
          { tester: words(typed, "tester"), instrument: words(typed, "instrument"),
            tested_on: day(typed, "tested_on"), valid_until: day(typed, "valid_until") }
        end

        def words(typed, field)
          Job::Note.of(typed[field], field.to_sym).to_s.strip[0, 100]
        end

        def day(typed, field)
          text = typed[field].to_s.strip
          Date.iso8601(text) unless text.empty?
        rescue Date::Error
          raise Services::Invalid, { field.to_sym => ["This is no day."] }
        end
        private_class_method :words, :day
      end
    end
  end
end
