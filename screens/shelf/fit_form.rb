# frozen_string_literal: true

module UprightBench
  module Screens
    module Shelf
      # That a part fits a place, and who says so.
      class FitForm < Form
        takes do
          params do
            required(:sheet_id).filled(:integer)
            required(:position).filled(:string, max_size?: 80)
            required(:number).filled(:string, max_size?: 40)
            required(:said_by).filled(:string, included_in?: Services::KeepFit::SAID_BY.keys)
            optional(:whole_family).maybe(:bool)
            %i[serial_from serial_to].each { |name| optional(name).maybe(:string, max_size?: 40) }
            optional(:body_style).maybe(:string, max_size?: 40)
            optional(:note).maybe(:string, max_size?: 300)
          end
        end

        # @return [Hash] as Services::KeepFit takes it
        def said
          values.slice(:said_by, :serial_from, :serial_to, :body_style, :note)
        end
      end
    end
  end
end
