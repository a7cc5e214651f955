# frozen_string_literal: true

module UprightBench
  module Screens
    module Settings
      # The shop's own tax classes as rows of fields: a name and a rate.
      module TaxClassFields
        MOST = 20
        LONGEST_NAME = 60
        PERCENT = /\A\d{1,2}(?:[.,]\d{1,4})?\z/

        KEY = /\A(class-\d{1,4})?\z/
        # what is said => when
        SAID = {
          "At most #{MOST} tax classes." => ->(rows) { rows.size > MOST },
          "A name has at most #{LONGEST_NAME} letters." =>
            ->(rows) { rows.any? { |row| row["name"].length > LONGEST_NAME } },
          "A rate is written as in 7 or 14.975." => ->(rows) { rows.any? { |row| !row["percent"].match?(PERCENT) } },
          "Open the page again." => lambda { |rows|
            keys = rows.map { |row| row["key"] }
            keys.any? { |key| !key.match?(KEY) } || keys.reject(&:empty?).uniq!
          }
        }.freeze
        private_constant :KEY, :SAID

        module_function

        # A row without a name is left out. A new one gets a key that no other has.
        # @param typed [Object] { "0" => { "key" => "class-1", "name" => "Second-hand machines", "percent" => "7" } }
        # @return [Array<Core::Money::TaxClass>]
        def read(typed)
          rows = rows(typed)
          taken = rows.map { |row| row["key"].to_s }
          rows.map do |row|
            taken << (key = row["key"].to_s.empty? ? free_key(taken) : row["key"].to_s)
            Core::Money::TaxClass.new(key: key, name: row["name"].strip, percent: row["percent"].tr(",", "."))
          end
        end

        # @return [Hash{Symbol=>Array<String>}] empty when all can be read
        def problems(typed)
          rows = rows(typed)
          words = SAID.filter_map { |said, wrong| said if wrong.call(rows) }
          words.empty? ? {} : { tax_classes: words }
        end

        # @param classes [Array<Core::Money::TaxClass>]
        # @return [Hash{String=>Hash}] as typed, with an empty row to add one
        def write(classes)
          [*classes.map(&:to_stored), {}].each_with_index.to_h { |row, index| [index.to_s, row] }
        end

        def rows(typed)
          given = typed.is_a?(Hash) ? typed.values.grep(Hash) : []
          given.map { |row| row.transform_values { |value| value.is_a?(String) ? value.strip : "" } }
            .map { |row| { "key" => "", "name" => "", "percent" => "" }.merge(row) }
            .reject { |row| row["name"].empty? }
        end

        def free_key(taken)
          (1..).lazy.map { |number| "class-#{number}" }.find { |key| !taken.include?(key) }
        end
        private_class_method :rows, :free_key
      end
    end
  end
end
