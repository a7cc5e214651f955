# frozen_string_literal: true

module UprightBench
  module Core
    module Fit
      # A machine as the fit sees it: its model's names and its serial number.
      class Machine
        include Value

        fields :model, :family, :body_style, serial_number: nil

        # @param sheet [Sheets::Sheet]
        def self.of(sheet, serial_number: nil)
          new(model: sheet.title, family: sheet.family, body_style: sheet.body_style, serial_number: serial_number)
        end
      end
    end
  end
end
