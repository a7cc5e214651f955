# frozen_string_literal: true

module UprightBench
  module Core
    module Access
      # A PIN with which a colleague takes over a tablet that somebody is signed in on. Short, as it stands beside a
      # device that is in the shop, and refused where anybody would try it first (house rules).
      module Pin
        FORM = /\A\d{4,8}\z/
        ROWS = "01234567890123456789"

        module_function

        # @param pin [String]
        # @return [String, nil] what is wrong with it
        def problem(pin)
          return "is four to eight digits" unless pin.match?(FORM)

          easy = pin.chars.uniq.one? || ROWS.include?(pin) || ROWS.reverse.include?(pin) || year?(pin)
          "is one that everybody tries" if easy
        end

        # Of a birth or a wedding.
        def year?(pin)
          pin.length == 4 && pin.to_i.between?(1930, 2049)
        end
        private_class_method :year?
      end
    end
  end
end
