# frozen_string_literal: true

module UprightBench
  module Core
    module Policies
      # A shop rule that is a number. `default` nil means that nothing is assumed until the owner enters it;
      # `whole` that it has no decimals.
      class Number
        include Value

        fields :key, :group, :label, :unit, :range, default: nil, hint: nil, whole: true

        def optional?
          default.nil?
        end

        # @return [String] above its field: what it is, with the unit where the label does not say it
        def heading
          label.downcase.include?(unit) ? label : "#{label}, #{unit}"
        end

        # @return [String] a value as people read it, with its unit
        def words(value)
          unit == "$" ? "$#{format('%g', value)}" : "#{format('%g', value)} #{unit}"
        end
      end
    end
  end
end
