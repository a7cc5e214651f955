# frozen_string_literal: true

module UprightBench
  module Services
    # What was counted at a step, held against what it should be. What differs is noted until it is found or explained.
    class CountTray
      MOST = 1000

      # @param opened [Models::OpenedStep]
      # @param expected [Array<Core::Strip::Piece>] as many as there should be
      # @param counts [Hash{String=>Integer}, nil] by key of a piece; nil, or no number, when all are there
      # @return [Array<Models::TrayDifference>] that were noted
      # @raise [Invalid] for a number that is none
      def self.call(opened, expected, counts, by:, at:)
        counted = (counts || {}).slice(*expected.map(&:key))
        unless counted.each_value.all? { |number| number.is_a?(Integer) && number.between?(0, MOST) }
          raise Invalid, { counts: ["Count them in whole numbers."] }
        end

        expected.reject { |piece| counted.fetch(piece.key, piece.count) == piece.count }
          .map { |piece| note(opened, piece, counted.fetch(piece.key), by, at) }
      end

      def self.note(opened, piece, counted, by, at)
        Models::TrayDifference.create(job_id: opened.job_id, opened_step_id: opened.id, piece: piece.key,
          words: piece.words, expected: piece.count, counted: counted, noted_at: at, noted_by: by.id)
      end
      private_class_method :note
    end
  end
end
