# frozen_string_literal: true

module UprightBench
  module Services
    class SetClocks
      # Writes the new dates of many dues in one statement, and keeps what each was and why it moved. What is as it was
      # is not written.
      module WriteDates
        SQL = <<~SQL
          WITH new AS MATERIALIZED (
            SELECT * FROM jsonb_to_recordset(:new::jsonb)
              AS new (id bigint, due_on date, early_on date, late_on date, deciding text, personal numeric, reasons jsonb, reasons_mark bigint)),
          moved AS (
            INSERT INTO due_changes (due_id, was_on, now_on, reason, changed_on)
            SELECT dues.id, dues.due_on, new.due_on, :why, :on FROM dues JOIN new USING (id) WHERE dues.due_on IS DISTINCT FROM new.due_on ORDER BY dues.id)
          UPDATE dues SET due_on = new.due_on, early_on = new.early_on, late_on = new.late_on, deciding = new.deciding, personal = new.personal,
                          reasons = new.reasons, reasons_mark = new.reasons_mark, computed_on = :on
          FROM new WHERE dues.id = new.id
        SQL
        private_constant :SQL

        module_function

        # @param moves [Array<Array(Hash, Core::Clocks::Due)>] what runs, and what it is now
        # @param why [String]
        # @param on [Date]
        def write(moves, why:, on:)
          changed = moves.reject { |row, answer| same?(row, answer) }
          return unless changed.any?

          DB[SQL, new: JSON.generate(changed.map { |row, answer| { id: row[:id], **columns(answer) } }), why: why,
            on: on].update
        end

        # Which clock decided and by how much it was shortened is in the reasons.
        def same?(row, answer)
          row[:due_on] == answer.due_on && row[:early_on] == answer.early_on && row[:late_on] == answer.late_on &&
            row[:reasons_mark] == answer.why.mark
        end

        # @param answer [Core::Clocks::Due]
        # @return [Hash] what is kept of it
        def columns(answer)
          { due_on: answer.due_on, early_on: answer.early_on, late_on: answer.late_on, deciding: answer.deciding.to_s,
            personal: answer.personal,
            reasons: answer.reasons.map(&:to_stored), reasons_mark: answer.why.mark }
        end
      end
    end
  end
end
