# frozen_string_literal: true

module UprightBench
  module Queries
    # Suction and flow of a machine after its last good service: what was read of the whole machine after all work, and
    # is not far below what the sheet says of a new one.
    class LastGoodAir
      GOOD = 0.9 # of a new machine
      LAST = 40 # readings that are looked through

      # @param job [Models::Job] those before it count
      # @return [Hash{Symbol=>Float}] :sealed and :flow, as far as they were read
      def self.call(job)
        new(job).call
      end

      def initialize(job)
        @job = job
        @new = Core::Suction::Expected.of(job.sheet)
      end

      def call
        rows.group_by(&:job_id).each_value do |read|
          newest = read.reverse.to_h { |row| [row.kind.to_sym, row.to_core] }
          return newest.transform_values(&:value) if newest.values.all? { |reading| good?(reading) }
        end
        {}
      end

      private

      def good?(reading)
        reading.value >= GOOD * reading.expected(@new)
      end

      # The newest first.
      def rows
        Models::SuctionReading.after_the_work.select_all(:suction_readings)
          .where(machine_id: @job.machine_id, point: @new.stages.first.key, exhaust_off: false, kind: %w[sealed flow])
          .where(Sequel[:jobs][:id] < @job.id).reverse(Sequel[:suction_readings][:id]).limit(LAST).all
      end
    end
  end
end
