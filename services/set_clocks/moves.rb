# frozen_string_literal: true

module UprightBench
  module Services
    class SetClocks
      # Writes the new dates of many dues in two statements, and keeps what each was and why it moved. What is as it was is not
      # written.
      module Moves
        DATES = %i[due_on early_on late_on].freeze
        SQL = <<~SQL
          UPDATE dues SET due_on = new.due_on, early_on = new.early_on, late_on = new.late_on, deciding = new.deciding, personal = new.personal,
                          reasons = new.reasons::jsonb, computed_on = ?
          FROM unnest(?, ?, ?, ?, ?, ?, ?) AS new (id, due_on, early_on, late_on, deciding, personal, reasons) WHERE dues.id = new.id
        SQL
        private_constant :SQL

        module_function

        # @param moves [Array<Array(Models::Due, Core::Clocks::Due)>] what runs, and what it is now
        # @param why [String]
        # @param on [Date]
        def write(moves, why:, on:)
          changed = moves.reject { |due, answer| same?(due, answer) }
          return if changed.empty?

          later = changed.reject { |due, answer| due.due_on == answer.due_on }
          DB[:due_changes].import(%i[due_id was_on now_on reason changed_on], later.map { |due, answer| [due.id, due.due_on, answer.due_on, why, on] })
          DB[SQL, on, *columns(changed)].update
        end

        def same?(due, answer)
          DATES.all? { |name| due[name] == answer.public_send(name) } && due.deciding == answer.deciding.to_s && due.personal == answer.personal.round(3) &&
            due.reasons.to_a == answer.reasons
        end

        def columns(changed)
          dues, answers = changed.transpose
          [Sequel.pg_array(dues.map(&:id), :bigint), *DATES.map { |name| Sequel.pg_array(answers.map(&name), :date) }, Sequel.pg_array(answers.map do |one|
            one.deciding.to_s
          end, :text),
           Sequel.pg_array(answers.map(&:personal), :numeric), Sequel.pg_array(answers.map { |one| JSON.generate(one.reasons) }, :text)]
        end
      end
    end
  end
end
