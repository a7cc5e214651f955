# frozen_string_literal: true

module UprightBench
  module Queries
    # A machine's air over the years: at each job that read the whole machine, what share of a new one it reached before
    # the work and after it; by its flow, or by its suction where nobody read the flow.
    module MachineAir
      # @!attribute on [Date] when the last of them was read
      # @!attribute before [Float, nil]
      # @!attribute after [Float, nil]
      Visit = Struct.new(:number, :on, :before, :after, keyword_init: true)

      module_function

      # @param machine [Models::Machine]
      # @return [Array<Visit>] in their order
      def call(machine)
        new_one = Core::Suction::Expected.of(machine.to_core)
        rows = READ.all(machine_id: machine.id, point: new_one.stages.first.key)
        rows.group_by { |row| row[:number] }.map do |number, read|
          visit(number, read, new_one)
        end
      end

      def visit(number, read, new_one)
        kind = read.any? { |row| row.kind == "flow" } ? "flow" : "sealed"
        before, after = read.select { |row| row.kind == kind }.partition { |row| !row[:since_work] }
          .map { |some| some.last && share(some.last.to_core, new_one) }
        Visit.new(number: number, on: Config::Zone.date(read.last.taken_at), before: before, after: after)
      end

      def share(reading, new_one)
        reading.value / reading.expected(new_one)
      end

      READ = Models::Prepared.new(:air_of_a_machine) do
        readings = Sequel[:suction_readings]
        worked = Models::WorkItem.where(job_id: readings[:job_id]).select { max(done_at) }
        since = Sequel.function(:coalesce, readings[:taken_at] > worked, false)
        Models::SuctionReading.join(:jobs, id: :job_id).select_all(:suction_readings)
          .select_append(Sequel[:jobs][:number], since.as(:since_work))
          .where(machine_id: :$machine_id, point: :$point, kind: %w[flow sealed], exhaust_off: false)
          .order(readings[:id])
      end
      private_constant :READ
      private_class_method :visit, :share
    end
  end
end
