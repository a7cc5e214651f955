# frozen_string_literal: true

module UprightBench
  module Models
    # A part that was tried somewhere and did not fit.
    class Misfit < Sequel::Model(:misfits)
      many_to_one :part
      many_to_one :job

      dataset_module do
        # Of a model, but where somebody found afterwards that the part fits all the same.
        # @param title [String] of the model
        def of_model(title)
          since = FitRule.where(part_id: Sequel[:misfits][:part_id], position: Sequel[:misfits][:position],
            model_title: title).where { added_at > Sequel[:misfits][:said_at] }
          where(model_title: title).exclude(since.select(1).exists)
        end
      end
    end
  end
end
