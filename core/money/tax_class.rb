# frozen_string_literal: true

module UprightBench
  module Core
    module Money
      # A class of goods that the shop taxes at a rate of its own, beside bench time and parts.
      class TaxClass
        include Value

        # @!attribute key [String] by which lines and parts name it
        # @!attribute name [String]
        # @!attribute percent [String] as it is set ("14.975")
        fields :key, :name, :percent

        # @param row [Hash{String=>Object}] as it is stored
        def self.stored(row)
          new(key: row.fetch("key"), name: row.fetch("name"), percent: row.fetch("percent"))
        end

        # @return [Hash{String=>Object}] as it is stored
        def to_stored
          to_h.transform_keys(&:to_s)
        end
      end
    end
  end
end
