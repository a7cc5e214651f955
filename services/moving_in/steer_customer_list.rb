# frozen_string_literal: true

module UprightBench
  module Services
    # Begins to write a file of customers that was looked through, holds it on, goes on with it, or ends it. What is
    # written stays written.
    module SteerCustomerList
      # move => from which states, to which
      MOVES = { "begin" => [%w[checked], "writing"], "pause" => [%w[writing], "paused"],
                "go_on" => [%w[paused], "writing"],
                "cancel" => [%w[kept to_map checking checked writing paused], "cancelled"] }.freeze

      module_function

      # Pressed twice is pressed once.
      # @param move [String] a key of MOVES
      # @return [Models::CustomerImport]
      # @raise [NotFound] for a move that there is not
      # @raise [Refused] when another file is being written
      def call(import, move, by:, at:)
        Permissions.check!(:moving_in, by)
        from, to = MOVES.fetch(move) { raise NotFound, "Page not found." }
        Constraint.told("customer_imports_one_at_a_time" => -> { refuse }) do
          DB.transaction do
            next import unless from.include?(import.lock!.state)

            steer(import, move, to, at)
            History.note("#{move.tr('_', ' ')} moving in", import, by: by, at: at)
            import
          end
        end
      end

      def steer(import, move, to, at)
        import.update(state: to, **(move == "begin" ? { through: import.wrong } : {}),
          settled_at: (at if to == "cancelled"))
        drop(import) if to == "cancelled"
        WriteCustomerList::Work.enqueue(import.id) if to == "writing"
      end

      # What was left out can still be fetched.
      def drop(import)
        import.pieces.delete
        import.waiting.delete
      end

      def refuse
        raise Refused, "Another file is being written. Wait for it, or cancel it."
      end
      private_class_method :steer, :drop, :refuse
    end
  end
end
