# frozen_string_literal: true

module UprightBench
  module Models
    # A paper of many pages that somebody asked for, in parts of a file each.
    class PaperRun < Sequel::Model(:paper_runs)
      PIECE_BYTES = 256 * 1024

      # @return [Boolean] whether all parts are there
      def made?
        !finished_at.nil? && failed.nil?
      end

      # @param part [Integer] from 0 on
      # @param bytes [String] a PDF
      def keep(part, bytes)
        pieces.where(part: part).delete
        (0...bytes.bytesize).step(PIECE_BYTES).each_with_index do |from, index|
          pieces.insert(paper_run_id: id, part: part, sequence: index,
            bytes: Sequel.blob(bytes.byteslice(from, PIECE_BYTES)))
        end
      end

      # @return [Enumerator<String>] of a part's bytes, piece by piece
      def each_piece(part)
        return enum_for(:each_piece, part) unless block_given?

        pieces.where(part: part).count.times do |index|
          yield pieces.where(part: part, sequence: index).get(:bytes).to_s
        end
      end

      private

      def pieces
        db[:paper_pieces].where(paper_run_id: id)
      end
    end
  end
end
