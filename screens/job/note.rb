# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # A free note: text that can be read, and not without end.
      module Note
        MOST = 500

        module_function

        # @param text [Object] as it came: a text, or whatever else somebody sent in its place
        # @return [String, nil]
        # @raise [Services::Invalid]
        def of(text, field)
          return if text.nil?

          wrong = wrong_with(text)
          raise Services::Invalid, { field => [wrong] } if wrong

          text
        end

        # @return [String, nil]
        def wrong_with(text)
          return "This is no text. Type it again." unless text.is_a?(String)
          return "This is too long: at most #{MOST} letters. You typed #{text.length}." if text.length > MOST
          return unless text.include?(Form::UNREADABLE)

          "Some signs could not be read; they stand as #{Form::UNREADABLE}. Type them again."
        end
        private_class_method :wrong_with
      end
    end
  end
end
