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

        MONEY = "money" # a unit that stands for the sign of the shop's currency

        # @param sign [String] of the currency
        # @return [String] above its field: what it is, with the unit where the label does not say it
        def heading(sign = "")
          return "#{label}, #{sign}" if unit == MONEY

          label.downcase.include?(unit) ? label : "#{label}, #{unit}"
        end

        # @param sign [String] of the currency
        # @return [String] a value as people read it, with its unit
        def words(value, sign = "")
          unit == MONEY ? "#{sign}#{Units::Figure.words(value)}" : "#{Units::Figure.words(value)} #{unit}"
        end
      end
    end
  end
end
