# frozen_string_literal: true

module UprightBench
  module Models
    # One part as it was counted, with what should have lain there at that moment.
    class CountLine < Sequel::Model(:count_lines)
      unrestrict_primary_key
      many_to_one :part

      # @return [Integer] pieces more than there should be; negative when fewer
      def difference
        pieces - level_pieces
      end
    end
  end
end
