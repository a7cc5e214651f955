# frozen_string_literal: true

module UprightBench
  module Models
    # A search for a fault on a simulated machine.
    class PracticeRound < Sequel::Model(:practice_rounds)
      one_to_many :checks, class: "UprightBench::Models::PracticeCheck", key: :practice_round_id, order: :id

      one_to_many :readings, class: "UprightBench::Models::PracticeReading", key: :practice_round_id, order: :id

      # @return [Float] minutes that its readings took
      def reading_minutes
        readings.sum(&:minutes)
      end

      # @return [Array<Core::Faults::Cause>] what is wrong with the machine
      def hidden_causes
        hidden.map { |key| search.cause_of(key) }
      end

      # @return [Core::Sheets::Sheet]
      def sheet
        SheetVersion.parsed(sheet_version_id)
      end

      # @return [Core::Faults::Search] by the table alone: what the shop has learned is no part of it
      def search
        @search ||= Core::Faults::PlanSearch.new(sheet, complaint.to_sym).call
      end

      # @return [Array<Array(String, Symbol)>]
      def results
        checks.map { |row| [row.check_key, row.result.to_sym] }
      end
    end
  end
end
