# frozen_string_literal: true

module UprightBench
  module Models
    # One thing to do in a job.
    class WorkItem < Sequel::Model(:work_items)
      many_to_one :job
      many_to_one :part
      one_to_many :rack_stays, order: :id

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
