# frozen_string_literal: true

module UprightBench
  module Models
    # Where a part is said to fit.
    class FitRule < Sequel::Model(:fit_rules)
      many_to_one :part

      # @return [Core::Fit::Rule]
      def to_core
        Core::Fit::Rule.new(part_id: part_id, position: position, model: model_title, family: family,
          body_style: body_style,
          serial_from: serial_from, serial_to: serial_to, tried: said_by == "tried")
      end
    end
  end
end
