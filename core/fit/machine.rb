# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A machine as the fit sees it: its model's names and its plate.
      class Machine
        include Value

        fields :model, :family, :body_style, plate: nil

        # @param sheet [Sheets::Sheet]
        def self.of(sheet, plate: nil)
          new(model: sheet.title, family: sheet.family, body_style: sheet.body_style, plate: plate)
        end
      end
    end
  end
end
