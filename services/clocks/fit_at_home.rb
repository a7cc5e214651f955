# frozen_string_literal: true

module UprightBench
  module Services
    # A part that the customer puts in at home: it is fitted from that day on, and its clock begins.
    class FitAtHome
      # @param machine [Models::Machine]
      # @param parts [Hash{String=>Integer}] position => part's id
      # @param on [Date]
      # @raise [Refused] when that day is ahead
      # @raise [NotFound] for a place that the machine does not have
      def self.call(machine, parts, on:, by:, at:)
        raise Refused, "That day is ahead." if on > Config::Zone.date(at)

        DB.transaction do
          machine.lock!
          sheet = machine.to_core
          strange = parts.keys.find { |key| !sheet.position?(key) }
          raise NotFound, "The machine has no such place." if strange

          parts.each { |position, part_id| put_in(machine, position, part_id, on, by) }
          SetClocks.call(machine, done: parts.transform_values { [:replace] }, on: on, why: "fitted at home")
          History.note("fitted at home", machine, by: by, at: at, data: { positions: parts.keys, on: on.iso8601 })
        end
      end

      def self.put_in(machine, position, part_id, on, by)
        old = Models::Fitting.in_place.first(machine_id: machine.id, position: position)
        old&.update(removed_on: [on, old.fitted_on].compact.max)
        Models::Fitting.create(machine_id: machine.id, position: position, part_id: part_id, fitted_on: on,
          created_by: by.id)
      end
      private_class_method :put_in
    end
  end
end
