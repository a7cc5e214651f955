# frozen_string_literal: true

module UprightBench
  module Models
    # One thing to do in a job.
    class WorkItem < Sequel::Model(:work_items)
      many_to_one :job
      many_to_one :part
      one_to_many :rack_stays, order: :id

      # @param stays [Boolean] whether any of it may have been on the rack
      # @return [Array<WorkItem>] in their order, with their parts as the shelf has them, and their stays on the rack
      def self.of_job(job_id, stays: true)
        items = where(job_id: job_id).order(:sequence).then { |all| stays ? all.eager(rack_stays: :slot) : all }.all
        parts = Part.with_shelf_of(items.filter_map(&:part_id).uniq)
        items.each do |item|
          item.associations[:part] = parts[item.part_id]
          item.associations[:rack_stays] ||= []
        end
      end

      # @return [RackStay, nil] where it lies now
      def on_rack
        rack_stays.find { |stay| stay.off_at.nil? }
      end

      def to_do?
        state == "to_do"
      end

      # @return [Boolean] it is settled what goes in: a part, or the customer's own spare
      def chosen?
        action != "replace" || own_spare || !part_id.nil?
      end
    end
  end
end
