# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # Puts the customers and machines of a file on file, some rows at a time: what is written and that it was written
    # are committed together, so that whatever is killed, none is written twice.
    module WriteCustomerList
      SLICE = 250 # rows

      # The queue's job; each enqueues the next, so that cards go on leaving.
      class Work < Que::Job
        def run(id)
          WriteCustomerList.slice(id, at: Time.now)
        end
      end

      module_function

      def slice(id, at:)
        DB.transaction do
          import = Models::CustomerImport.where(id: id).for_update.first
          next unless import.state == "writing" # paused, cancelled, or two workers at once

          rows = import.waiting.order(:line).limit(SLICE).all
          next finish(import, at) if rows.empty?

          write(import, rows, at)
          Work.enqueue(id)
        end
      end

      def write(import, rows, at)
        written = WriteCustomers.new(import, by: import.giver, at: at).call(rows)
        CheckCustomerList.leave_out(import, written.wrong)
        import.import_rows.where(line: rows.map { |row| row[:line] }, reason: nil).delete
        count(import, through: rows.size, wrong: written.wrong.size, **written.to_h.except(:wrong))
      end

      def count(import, **more)
        import.update(more.to_h { |name, number| [name, import[name] + number] })
      end

      def finish(import, at)
        import.pieces.delete
        import.update(state: "written", settled_at: at)
        History.note("moved in", import, by: import.giver, at: at,
          data: { customers: import.customers_added, machines: import.machines_added, wrong: import.wrong })
      end
      private_class_method :write, :count, :finish
    end
  end
end
