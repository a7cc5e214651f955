# frozen_string_literal: true

module UprightBench
  module Services
    # A part from nowhere: some words, a price and where it was bought. It is put on file under a number of the shop's
    # own, so that it can be fitted, charged, ordered again, and taught to the next machine like any other, and it is
    # chosen for what asked for it.
    class WriteFreeLine
      NUMBER = "OWN-%d"

      # @param line [Hash] name, price_cents, and number, supplier, lead_days or nil
      # @return [Models::Part]
      # @raise [Invalid, Refused]
      def self.call(number, item_id, line:, by:, at:)
        Permissions.check!(:parts, by)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          item = Lookup.work_item(job, item_id)
          part = put_on_file(job.sheet.position(item.position), line, by, at)
          ChoosePart.call(number, item.id, choice: "other-#{part.id}", by: by, at: at)
          part
        end
      end

      def self.put_on_file(place, line, by, at)
        fields = { **PartChanges::FRESH, kind: place.kind.to_s, **line.slice(:name, :price_cents, :supplier, :lead_days) }
        KeepPart.call(line[:number] || next_number, fields, measures: {}, by: by, at: at)
          .tap { |part| part.update(bought_in: true) }
      end

      def self.next_number
        format(NUMBER, DB.get(Sequel.function(:nextval, "own_part_numbers")))
      end
      private_class_method :put_on_file, :next_number
    end
  end
end
