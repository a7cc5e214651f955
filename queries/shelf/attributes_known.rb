# frozen_string_literal: true

module UprightBench
  module Queries
    # What parts of a kind on file have, and what places of that kind on the sheets ask for.
    module AttributesKnown
      MOST = 60

      module_function

      # @param kind [String]
      # @return [Hash{String=>Array<Boolean, String>}] attribute => values
      def of(kind)
        rows = parts(kind).union(places(kind)).order(:name, :value).limit(MOST).naked.select_map(%i[name value])
        rows.group_by(&:first).transform_values do |pairs|
          pairs.map do |_, value|
            JSON.parse(value, quirks_mode: true)
          end
        end
      end

      def parts(kind)
        Models::Part.where(kind: kind).cross_join(each("attributes")).select(*PAIR)
      end

      def places(kind)
        Models::Sheet.join(:sheet_versions, id: :current_version_id)
          .cross_join(Sequel.lit("jsonb_array_elements(content -> 'positions') AS place"))
          .cross_join(each("place -> 'attributes'")).where(Sequel.lit("place ->> 'kind' = ?", kind)).select(*PAIR)
      end

      PAIR = [Sequel[:had][:key].as(:name), Sequel.cast(Sequel[:had][:value], String).as(:value)].freeze
      private_constant :PAIR

      def each(what)
        Sequel.lit("jsonb_each(coalesce(#{what}, '{}')) AS had")
      end
      private_class_method :parts, :places, :each
    end
  end
end
