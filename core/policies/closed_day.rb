# frozen_string_literal: true

require "date"

module UprightBench
  module Core
    module Policies
      # A day on which the shop is closed, once or every year. The last of February stands in for a 29th in other years.
      class ClosedDay
        include Value

        # @!attribute on [Date]
        fields :on, name: nil, yearly: false

        # @param row [Hash{String=>Object}] as it is stored: on (ISO date), name, yearly
        def self.stored(row)
          new(on: Date.iso8601(row.fetch("on")), name: row["name"], yearly: row["yearly"] || false)
        end

        # @return [Hash{String=>Object}] as it is stored
        def to_stored
          { "on" => on.iso8601, "name" => name, "yearly" => yearly }.compact
        end

        # @param date [Date]
        def closes?(date)
          yearly ? in_year(date.year) == date : on == date
        end

        private

        def in_year(year)
          Date.valid_date?(year, on.month, on.day) ? Date.new(year, on.month, on.day) : Date.new(year, on.month, -1)
        end
      end
    end
  end
end
