# frozen_string_literal: true

require "que"

module UprightBench
  module Services
    # A new version of a sheet moves the dates of every machine of the model: done by the worker, some machines at a time, so that
    # nobody waits for it and nothing is held up by it.
    class RecomputeSheet < Que::Job
      SLICE = 100

      # @param sheet_id [Integer]
      # @param version [Integer]
      def run(sheet_id, version)
        self.class.each_slice(sheet_id) do |machines|
          DB.transaction { machines.each { |machine| SetClocks.again(machine, on: Config::Zone.date(Time.now), why: "version #{version} of its sheet") } }
        end
      end

      # By key, so that the last of many thousands is reached as fast as the first.
      # @yieldparam machines [Array<Models::Machine>] that have a clock running
      def self.each_slice(sheet_id)
        last = 0
        running = Models::Due.running.where(machine_id: Sequel[:machines][:id]).select(1).exists
        while (machines = Models::Machine.where(sheet_id: sheet_id).where { id > last }.where(running).order(:id).limit(SLICE).all).any?
          yield machines
          last = machines.last.id
        end
      end
    end
  end
end
