# frozen_string_literal: true

module UprightBench
  module Services
    # Sets every clock of a machine: tasks that were done begin a new cycle, the others are computed again.
    class SetClocks
      # @param machine [Models::Machine]
      # @param done [Hash{String=>Array<Symbol>}] position => actions done
      # @param on [Date]
      # @param why [String] what moves a date, kept with it
      # @return [Array<Models::Due>] all that are open now
      def self.call(machine, on:, why: "computed again", done: {})
        new(machine, on, why: why, done: done).call
      end

      # Computes again what runs already, and ends what its sheet no longer names; nothing begins.
      # @return [Array<Models::Due>] as they stand now
      def self.again(machine, on:, why:)
        again_all([machine], on: on, why: why)
        Models::Due.running.where(machine_id: machine.id).all
      end

      # The same for many machines, read and written together.
      # @param machines [Array<Models::Machine>]
      def self.again_all(machines, on:, why:, policies: Policies.now)
        facts = Facts.new(machines, policies: policies)
        over, moves = machines.map { |machine| new(machine, on, facts: facts).again }.transpose.map { |lists| lists.flatten(1) }
        Models::Due.where(id: over.map(&:id)).update(state: "ended", closed_on: on) if over.any?
        Moves.write(moves, why: why, on: on)
      end

      def initialize(machine, on, why: nil, done: {}, facts: Facts.new([machine]))
        @why = why
        @machine = machine
        @done = done
        @on = on
        @factors = facts.factors
        @household = machine.household
        @use = facts.use_rate(machine, on)
        @strips = facts.strips(machine)
        @personal = facts.personal(machine)
        @open = facts.open(machine)
        @fittings = facts.fittings(machine)
      end

      def call
        @machine.to_core.positions.flat_map { |place| place.tasks.map { |task| set(place, task) } }
      end

      # @return [Array(Array<Models::Due>, Array)] what the sheet no longer names; and what runs on, each with its new answer
      def again
        tasks = @machine.to_core.positions.flat_map { |place| place.tasks.map { |task| [[place.key, task.key], [place, task]] } }.to_h
        [@open.except(*tasks.keys).values, @open.slice(*tasks.keys).map { |key, due| [due, ask(*tasks.fetch(key), due.started_on)] }]
      end

      # What `call` would write for a machine that nothing was done to; nothing is written.
      # @return [Array<Models::Due>] not saved, soonest first
      def would_be
        dues = @machine.to_core.positions.flat_map do |place|
          place.tasks.map { |task| due(place, task, 1, nil, ask(place, task, start_of(place, task))) }
        end
        dues.sort_by { |due| due.due_on || FAR }
      end

      FAR = Date.new(9999)
      private_constant :FAR

      private

      def start_of(place, task)
        open = @open[[place.key, task.key]]
        open ? open.started_on : @fittings[place.key]&.fitted_on
      end

      def set(place, task)
        open = @open[[place.key, task.key]]
        return begin_cycle(place, task, open) if @done.fetch(place.key, []).include?(task.action)

        start = start_of(place, task)
        answer = ask(place, task, start)
        return create(place, task, 1, start, answer) unless open

        move(open, answer)
      end

      def move(open, answer)
        Moves.write([[open, answer]], why: @why, on: @on)
        open.set(columns(answer))
      end

      def begin_cycle(place, task, open)
        open&.update(state: "done", closed_on: @on)
        create(place, task, (open&.cycle || 0) + 1, @on, ask(place, task, @on))
      end

      def create(*what)
        due(*what).save
      end

      def due(place, task, cycle, start, answer)
        Models::Due.new(machine_id: @machine.id, position: place.key, position_name: place.name, task: task.key, action: task.action.to_s,
                        cycle: cycle, started_on: start, may_card: task.card, **columns(answer))
      end

      def columns(answer)
        { due_on: answer.due_on, early_on: answer.early_on, late_on: answer.late_on, deciding: answer.deciding.to_s, personal: answer.personal,
          reasons: Sequel.pg_jsonb(answer.reasons), computed_on: @on }
      end

      def ask(place, task, start)
        progress = Core::Clocks::Progress.new(started_on: start, **counted(place, start), **read(place, start))
        Core::Clocks::DueDate.new(task: task, progress: progress, use: @use, household: @household, today: @on,
                                  personal: @personal.fetch(place.key) { Core::Use::Personal.new }, factors: @factors).call
      end

      # The last reading of its strip counts until the part is changed, whatever is computed again meanwhile.
      def read(place, start)
        percent, read_on = @strips[place.key]
        start && read_on && read_on > start ? { indicator: percent, indicator_on: read_on } : {}
      end

      # The shop sees its own washes only; they count once they run ahead of the calendar.
      def counted(place, start)
        washes = @fittings[place.key]&.wash_count || 0
        return {} if start.nil? || washes.zero? || (start >> washes) < @on

        { counted: washes, counted_on: @on }
      end
    end
  end
end
