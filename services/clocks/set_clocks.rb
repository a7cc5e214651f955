# frozen_string_literal: true

module UprightBench
  module Services
    # Sets every clock of a machine: tasks that were done begin a new cycle, the others are computed again.
    class SetClocks
      # @param machine [Models::Machine]
      # @param done [Hash{String=>Array<Symbol>}] position => actions done
      # @param loads [Hash{String=>Hash{Symbol=>Core::Findings::Load}}] position => action => how far gone it was found
      # @param on [Date]
      # @param why [String] what moves a date, kept with it
      def self.call(machine, on:, why: "computed again", done: {}, loads: {})
        new(machine, on, loads: loads).call(done, why)
      end

      # Computes again what runs already, and ends what its sheet no longer names; nothing begins.
      # @param machines [Array<Models::Machine>] read and written together
      def self.again(machines, on:, why:)
        facts = Facts.new(machines)
        Models::SheetVersion.preload(machines.map { |machine| machine.sheet.current_version_id })
        found = machines.map { |machine| new(machine, on, facts: facts).again }
        close(found.flat_map(&:first), "ended", on)
        WriteDates.write(found.flat_map(&:last), why: why, on: on)
      end

      # What `call` would give; nothing is written.
      # @return [Array<Array(Core::Sheets::Position, Core::Clocks::Task, Core::Clocks::Due)>]
      def self.preview(machine, on:, done: {}, loads: {}, policies: Policies.now)
        facts = Facts.new([machine], policies: policies, readings: machine.use_readings)
        new(machine, on, loads: loads, facts: facts).preview(done)
      end

      # @param rows [Array<Hash>] of dues
      def self.close(rows, state, on)
        Models::Due.where(id: rows.map { |row| row[:id] }).update(state: state, closed_on: on) if rows.any?
      end

      def initialize(machine, on, facts: Facts.new([machine]), loads: {})
        @machine = machine
        @on = on
        @loads = loads
        @conditions = Core::Clocks::Conditions.new(use: facts.use_rate(machine, on), household: machine.household,
          today: on, factors: facts.factors, look_again_days: facts.look_again_days)
        @facts = facts
        @open = facts.open(machine)
      end

      def call(done, why)
        begun, going_on = tasks.partition { |place, task| open_at(place, task).nil? || done?(done, place, task) }
        self.class.close(begun.filter_map { |place, task| open_at(place, task) }, "done", @on)
        keep_loads(going_on)
        Models::Due.dataset.multi_insert(begun.map { |place, task| first_or_next(place, task, done) })
        WriteDates.write(moves(going_on), why: why, on: @on)
      end

      # @return [Array(Array<Hash>, Array)] what the sheet no longer names; and what runs on, each with its new answer
      def again
        sheet = @machine.to_core
        going_on, over = @open.map { |due| [due, sheet.task(due[:position], due[:task])] }.partition(&:last)
        [over.map(&:first), going_on.map { |due, task| move(due, task) }]
      end

      # @param start [Date]
      # @return [Array<Hash>] rows of dues
      def first_rows(start)
        tasks.map { |place, task| row(place, task, 1, start) }
      end

      def preview(done)
        tasks.map do |place, task|
          next [place, task, answer(known(place), task, @on)] if done?(done, place, task)

          load = found(place, task) || load_of(place, task) || NOT_LOOKED_AT
          [place, task, answer({ **known(place), **load }, task, start_of(place, task))]
        end
      end

      # What `call` would write for a machine that nothing was done to; nothing is written.
      # @param only [Array<String>, nil] the places that are asked for
      # @return [Array<Models::Due>] not saved, soonest first
      def would_be(only = nil)
        asked = only ? tasks.select { |place, _| only.include?(place.key) } : tasks
        dues = asked.map do |place, task|
          Models::Due.new(row(place, task, 1, start_of(place, task), load: load_of(place, task)))
        end
        dues.sort_by { |due| due.due_on || FAR }
      end

      FAR = Date.new(9999)
      private_constant :FAR

      private

      # @return [Array<Array(Core::Sheets::Position, Core::Clocks::Task)>]
      def tasks
        @machine.to_core.positions.flat_map { |place| place.tasks.map { |task| [place, task] } }
      end

      # @param done [Hash{String=>Array<Symbol>}] position => actions done
      def done?(done, place, task)
        done.fetch(place.key, []).include?(task.action)
      end

      # @return [Hash, nil] the due that runs
      def open_at(place, task)
        (@open_by_key ||= @open.to_h { |due| [due.values_at(:position, :task), due] })[[place.key, task.key]]
      end

      def moves(tasks)
        tasks.map { |place, task| move(open_at(place, task), task) }
      end

      def move(due, task)
        [due, answer(due, task, due[:started_on])]
      end

      def first_or_next(place, task, done)
        cycle = cycles.fetch([place.key, task.key], 0) + 1
        return row(place, task, cycle, @on) if done?(done, place, task)

        row(place, task, cycle, start_of(place, task), load: found(place, task))
      end

      # Of what was ended too: a place may be named again by a later sheet.
      def cycles
        @cycles ||= Models::Due.where(machine_id: @machine.id).group(:position, :task)
          .select(:position, :task, Sequel.function(:max, :cycle).as(:cycle))
          .naked.as_hash(%i[position task], :cycle)
      end

      def start_of(place, task)
        open = open_at(place, task)
        open ? open[:started_on] : known(place)[:fitted_on]
      end

      # @return [Hash] what is known of a place
      def known(place)
        (@places ||= @facts.places(@machine)).fetch(place.key, NOTHING)
      end

      def row(place, task, cycle, start, load: nil)
        load ||= NOT_LOOKED_AT
        dates = WriteDates.columns(answer({ **known(place), **load }, task, start))
        { machine_id: @machine.id, position: place.key, position_name: place.name, task: task.key,
          action: task.action.to_s, cycle: cycle, started_on: start, may_card: task.card, computed_on: @on, **load,
          **dates, reasons: Sequel.pg_jsonb(dates[:reasons]) }
      end

      # What was found is kept with what runs on, so that dates computed again rest on it as well.
      def keep_loads(tasks)
        tasks.each do |place, task|
          load = found(place, task) or next
          due = open_at(place, task).update(load)
          Models::Due.where(id: due[:id]).update(load)
        end
      end

      # @return [Hash{Symbol=>Object}, nil] columns of a due: how far gone it was found today
      def found(place, task)
        load = @loads.dig(place.key, task.action)
        return if load.nil? || (load.presumed && start_of(place, task))

        { load: load.share, load_step: load.step, load_on: @on }
      end

      def load_of(place, task)
        open_at(place, task)&.slice(:load, :load_step, :load_on)
      end

      # @param here [Hash] what is known of the place
      def answer(here, task, start)
        Core::Clocks::DueDate.new(task: task, progress: progress(here, task, start), conditions: @conditions,
          own: own(here)).call
      end

      def own(here)
        ratios = here[:ratios].to_a
        ratios.empty? ? NOTHING_FOUND : Core::Use::Personal.new(ratios: ratios)
      end

      def progress(here, task, start)
        counted = start ? Counted.new(@machine, here, @facts, start).of(task, use: @conditions.use, on: @on) : NOTHING
        read_on = read_on(here, start) if start
        Core::Clocks::Progress.new(started_on: start, counted: counted, counted_on: (@on if counted.any?),
          indicator: (here[:strip_percent] if read_on), indicator_on: read_on, load: here[:load]&.to_f,
          load_step: here[:load_step].to_f, load_on: here[:load_on])
      end

      # The last reading of its strip counts until the part is changed, whatever is computed again meanwhile.
      def read_on(here, start)
        day = here[:strip_at] && Config::Zone.date(here[:strip_at])
        day if day && day > start
      end

      NOTHING = {}.freeze
      NOTHING_FOUND = Core::Use::Personal.new
      NOT_LOOKED_AT = { load: nil, load_step: nil, load_on: nil }.freeze
      private_constant :NOTHING, :NOTHING_FOUND, :NOT_LOOKED_AT
    end
  end
end
