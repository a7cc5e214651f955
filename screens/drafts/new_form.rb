# frozen_string_literal: true

module UprightBench
  module Screens
    module Drafts
      # A model that is not on file yet: its name, and what its sheet begins with.
      class NewForm < Form
        KINDS = Core::Sheets::Sheet::KINDS.map(&:to_s).freeze

        takes do
          params do
            required(:maker).filled(:string, max_size?: 60)
            required(:model).filled(:string, max_size?: 60)
            optional(:kind).maybe(:string, included_in?: KINDS)
            optional(:starter).maybe(:string, included_in?: Services::Starters.titles.keys)
            Seen::VALUES.each { |name, values| optional(name).maybe(:string, included_in?: values) }
            optional(:relative_id).maybe(:integer)
            optional(:sheet_title).maybe(:string, max_size?: 120)
          end
          rule(:kind) do
            none = value.nil? && values[:starter].nil? && values[:relative_id].nil?
            key.failure("Choose what it begins with.") if none
          end
          rule(:relative_id, :sheet_title) do
            if values[:relative_id].nil? && values[:sheet_title]
              key(:relative_id).failure("is not on file: choose it from the list")
            end
          end
        end

        # @return [String, nil] key of Services::Starters
        def starter
          values[:starter]
        end

        # @return [Hash{Symbol=>Symbol}] kind, and what was seen of the machine, as Core::Sheets::Starter takes them
        def begun_from
          values.slice(:kind, *Seen::VALUES.keys).compact.transform_values(&:to_sym)
        end
      end
    end
  end
end
