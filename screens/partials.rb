# frozen_string_literal: true

require "tilt/erubi"

module UprightBench
  module Screens
    # The templates of partials, each read once in the life of a process. A page may have two hundred of them, and to
    # ask the web library for each took a tenth of its time.
    module Partials
      FOLDER = __dir__
      OPTIONS = { escape_html: true, freeze: true }.freeze
      @templates = {}

      module_function

      # @param name [String, Symbol] as in "job/_work"
      # @return [Tilt::Template]
      def of(name)
        @templates[name] ||= Tilt::ErubiTemplate.new(File.join(FOLDER, "#{name}.erb"), OPTIONS)
      end
    end
  end
end
