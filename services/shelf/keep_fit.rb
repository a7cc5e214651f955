# frozen_string_literal: true

module UprightBench
  module Services
    # That a part fits a place is added with who says so, and ended; it is never rewritten.
    class KeepFit
      # who says so => words
      SAID_BY = { "maker" => "the maker's list", "supplier" => "a supplier's list", "tried" => "tried here" }.freeze
      UNKNOWN = Core::Sheets::Starter::UNKNOWN

      # @param sheet [Core::Sheets::Sheet]
      # @param place [Core::Sheets::Position]
      # @param said [Hash] said_by, and where there is one: serial_from, serial_to, body_style, note
      # @param whole_family [Boolean] it fits every model of the family
      # @return [Models::FitRule]
      # @raise [Invalid] when it is listed there already, or nobody knows the family
      def self.add(part, sheet, place, said:, by:, at:, whole_family: false)
        Permissions.check!(:parts, by)
        DB.transaction do
          part.lock! # the same said twice at once is said once
          rule = { part_id: part.id, position: place.key, **whom(sheet, whole_family),
                   **said.slice(:serial_from, :serial_to, :body_style) }
          raise Invalid, { number: ["is listed here already"] } if Models::FitRule.where(rule).any?

          History.note("listed a fit", part, by: by, at: at, data: rule)
          Models::FitRule.create(**rule, **said.slice(:said_by, :note), added_by: by.id, added_at: at)
        end
      end

      def self.whom(sheet, whole_family)
        return { model_title: sheet.title, family: nil } unless whole_family
        raise Invalid, { whole_family: ["is not known for this model"] } if sheet.family == UNKNOWN

        { model_title: nil, family: sheet.family }
      end
      private_class_method :whom

      # @param rule [Models::FitRule]
      def self.end(rule, by:, at:)
        Permissions.check!(:parts, by)
        DB.transaction do
          rule.lock!
          said = rule.values.compact.transform_values { |value| value.is_a?(Time) ? value.iso8601 : value }
          DB[:ended_fits].insert(part_id: rule.part_id, rule: Sequel.pg_jsonb(said), ended_by: by.id, ended_at: at)
          rule.delete
          History.note("ended a fit", rule.part, by: by, at: at, data: said)
        end
      end
    end
  end
end
