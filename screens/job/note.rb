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
          raise Services::Invalid, { field => ["This is no text. Type it again."] } unless text.is_a?(String)
          if text.length > MOST
            raise Services::Invalid, { field => [
              "This is too long: at most #{MOST} letters. You typed #{text.length}."
            ] }
          end
          if text.include?(Form::UNREADABLE)
            raise Services::Invalid, { field => [
              "Some signs could not be read; they stand as #{Form::UNREADABLE}. Type them again."
            ] }
          end

          text
        end
      end
    end
  end
end
