# frozen_string_literal: true

module UprightBench
  module Screens
    module Settings
      # The closed days as rows of fields: a date, a name if it has one, and whether it comes every year.
      module ClosedDayFields
        MOST = 200
        LONGEST_NAME = 60

        module_function

        # A row without a date is left out.
        # @param typed [Object] { "0" => { "on" => "2026-12-24", "name" => "...", "yearly" => "1" } }
        # @return [Array<Core::Policies::ClosedDay>] the earliest first
        def read(typed)
          rows(typed).map { |row| day(row) }.sort_by { |day| [day.on, day.name.to_s] }.uniq(&:on)
        end

        # @return [Hash{Symbol=>Array<String>}] empty when all can be read
        def problems(typed)
          rows = rows(typed)
          words = []
          words << "At most #{MOST} closed days." if rows.size > MOST
          if rows.any? { |row| Core::Units::Day.parse(row["on"].to_s).nil? }
            words << "A closed day is written as in 2026-12-24."
          end
          if rows.any? { |row| row["name"].to_s.length > LONGEST_NAME }
            words << "A name has at most #{LONGEST_NAME} letters."
          end
          words.empty? ? {} : { closed_days: words }
        end

        # @param days [Array<Core::Policies::ClosedDay>]
        # @return [Hash{String=>Hash}] as typed, with an empty row to add one
        def write(days)
          rows = days.map { |day| { "on" => day.on.iso8601, "name" => day.name, "yearly" => day.yearly ? "1" : nil } }
          [*rows, {}].each_with_index.to_h { |row, index| [index.to_s, row] }
        end

        def rows(typed)
          given = typed.is_a?(Hash) ? typed.values.grep(Hash) : []
          given.reject { |row| row["on"].to_s.strip.empty? }
        end

        def day(row)
          name = row["name"].to_s.strip
          name = nil if name.empty?
          on = Core::Units::Day.parse(row["on"].to_s)
          Core::Policies::ClosedDay.new(on: on, name: name, yearly: row["yearly"] == "1")
        end
        private_class_method :day
      end
    end
  end
end
