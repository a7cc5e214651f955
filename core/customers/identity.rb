# frozen_string_literal: true

module UprightBench
  module Core
    module Customers
      # Whether two who were written down are one customer: the same name, and something else that is the same. Two of
      # one name whose phones differ are two people; a household shares its phone and is still two people; and where
      # nothing can be compared, only a person can tell (house rules).
      class Identity
        include Value

        # @!attribute name [String] as it was written
        # @!attribute phone [String, nil] in one form for all
        # @!attribute email [String, nil]
        # @!attribute place [String, nil] street and town
        fields :name, phone: nil, email: nil, place: nil

        COMPARED = %i[phone email place].freeze

        # Whatever may be written in two ways, written in one: capitals, accents, order of the words, signs.
        # @param text [String, nil]
        # @return [String, nil]
        def self.plain(text)
          words = text.to_s.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").downcase.scan(/[\p{L}\p{N}]+/)
          words.sort.join(" ") if words.any?
        end

        # @return [Symbol] :same, :other, or :unclear
        def compare(other)
          return :other unless key == other.key

          said = said_by_either(other)
          both = said.select(&:all?)
          return :same if said.empty? || both.any? { |pair| pair.uniq.one? }

          both.empty? ? :unclear : :other
        end

        # @return [String] equal for all that may be the same
        def key
          self.class.plain(name).to_s
        end

        # @param field [Symbol] of COMPARED
        # @return [String, nil]
        def plain(field)
          value = public_send(field)
          field == :place ? self.class.plain(value) : value&.downcase
        end

        private

        def said_by_either(other)
          COMPARED.map { |field| [plain(field), other.plain(field)] }.select(&:any?)
        end
      end
    end
  end
end
