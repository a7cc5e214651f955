# frozen_string_literal: true

module UprightBench
  module Services
    # How a person wants their screen: light, dim, or as the device has it.
    module SetTheme
      THEMES = Models::Person::THEMES

      module_function

      # @param theme [Object] whatever is none is left as it was
      def call(person, theme)
        person.update(theme: theme) if THEMES.include?(theme)
      end
    end
  end
end
