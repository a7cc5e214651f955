# frozen_string_literal: true

module UprightBench
  module English
    # What was found, as a customer reads it, where the sentence for the staff also says what to do about it or is in
    # the words of the trade. It is read before the work and after it. All other reasons read the same for both.
    module ToCustomers
      TEXTS = {
        smells_here: "Smells.",
        dirty_here: "Dirty or greasy.",
        wet: "Wet.",
        cracked_stop: "Cracked. That is work for a competent person, under local rules.",
        **Kinds.texts(:to_customers)
      }.freeze

      module_function

      # @param reason [Core::Reason]
      # @return [String]
      def of(reason, unit: :mm)
        figures = reason.figures.transform_values { |figure| worded(figure, unit) }
        text = TEXTS[reason.key]
        return Sentences.fill(text, Figures.new(figures, unit)) if text

        Sentences.of(reason.with(figures: figures), unit: unit)
      end

      # @return [Object] a reason within a reason, in words
      def worded(figure, unit)
        figure.is_a?(Core::Reason) ? Core::Reason.written(of(figure, unit: unit)) : figure
      end
      private_class_method :worded
    end
  end
end
