# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # Where a part is said to fit: listed for a model, or for a family, at a position.
      # `serial_from` and `serial_to` bound a range of serial numbers as text (compared by length, then sign by sign).
      # `tried` when somebody fitted it here, and no list says so.
      class Rule
        include Value

        fields :part_id, :position, model: nil, family: nil, body_style: nil, serial_from: nil, serial_to: nil,
          tried: false

        # @return [Symbol, nil] :model or :family where it speaks of this machine's kind, else nil
        def level(machine)
          return :model if model && model == machine.model
          return :family if model.nil? && family && family == machine.family

          nil
        end

        def body_style?(machine)
          body_style.nil? || body_style == machine.body_style
        end

        def serial_number?(machine)
          return true if serial_from.nil? && serial_to.nil?
          return false if machine.serial_number.nil?

          (serial_from.nil? || rank(machine.serial_number) >= rank(serial_from)) &&
            (serial_to.nil? || rank(machine.serial_number) <= rank(serial_to))
        end

        private

        # Shorter numbers come first: padded on the left, text compares as numbers would.
        def rank(serial_number)
          serial_number.rjust(40, "\0")
        end
      end
    end
  end
end
