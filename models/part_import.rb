# frozen_string_literal: true

module UprightBench
  module Models
    # Parts that came in as a file, to be looked at before they are taken over. Kept, then read (or bad), then taken
    # over.
    class PartImport < Sequel::Model(:part_imports)
      # A list that a page reads and takes over while somebody waits; longer ones are the worker's.
      SHORT_BYTES = 64 * 1024

      many_to_one :supplier
      many_to_one :giver, class: "UprightBench::Models::Person", key: :given_by

      def short?
        bytes <= SHORT_BYTES
      end

      # Somebody has to wait: the worker is at it.
      def under_way?
        %w[kept taking_over].include?(state)
      end

      # @return [Hash{Symbol=>String}] what its new parts are, where no column says it
      def fresh
        { kind: kind }.compact
      end

      # @yieldparam bytes [String] piece by piece, in order
      def each_piece
        count = db[:part_import_pieces].where(part_import_id: id).count
        count.times { |index| yield db[:part_import_pieces].where(part_import_id: id, sequence: index).get(:bytes) }
      end

      # What nobody needs any more once it was taken over.
      def drop_pieces
        db[:part_import_pieces].where(part_import_id: id).delete
      end
    end
  end
end
