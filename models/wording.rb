# frozen_string_literal: true

module UprightBench
  module Models
    # One of the owner's texts, in one language.
    class Wording < Sequel::Model(:wordings)
      unrestrict_primary_key
      ENGLISH = "en"

      # @return [Array<String>] English is always there
      def self.languages
        [ENGLISH] | distinct.select_order_map(:language)
      end

      # @return [Hash{String=>Core::Cards::Words}] by language; English is always there
      def self.words
        worded = all.group_by(&:language).transform_values do |rows|
          Core::Cards::Words.new(texts: rows.to_h { |row| [row.name.to_sym, row.template] })
        end
        { ENGLISH => Core::Cards::Words.new }.merge(worded)
      end
    end
  end
end
