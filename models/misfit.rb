# frozen_string_literal: true

module UprightBench
  module Models
    # A part that was tried somewhere and did not fit.
    class Misfit < Sequel::Model(:misfits)
      many_to_one :part
      many_to_one :job

      dataset_module do
        # Of a model, but where somebody found afterwards that the part fits all the same.
        # @param sheet [Core::Sheets::Sheet]
        def of_model(sheet)
          since = FitRule.where(part_id: Sequel[:misfits][:part_id], position: Sequel[:misfits][:position],
            model_title: sheet.title).where { added_at > Sequel[:misfits][:said_at] }
          where(model_title: sheet.title).exclude(since.select(1).exists)
        end
      end
    end
  end
end
