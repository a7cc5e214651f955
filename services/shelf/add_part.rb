# frozen_string_literal: true

module UprightBench
  module Services
    # Puts a part on file, with where it fits.
    class AddPart
      # @param fields [Hash] columns of a part
      # @param fits [Array<Hash>] columns of its fit rules
      # @return [Models::Part]
      def self.call(fields, fits:, by:, at:)
        DB.transaction do
          json = fields.slice(:attributes, :needs, :measures, :contents)
            .transform_values { |value| Sequel.pg_jsonb(value) }
          json[:takes_out] = Sequel.pg_array(fields[:takes_out], :text) if fields[:takes_out]
          # A column called attributes is set by its name: the model has a method of that name for itself.
          id = Models::Part.insert(**fields, **json, created_by: by.id, created_at: at)
          fits.each { |fit| Models::FitRule.create(part_id: id, **fit) }
          Models::Part.with_pk!(id)
        end
      end
    end
  end
end
