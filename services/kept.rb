# frozen_string_literal: true

module UprightBench
  module Services
    # Parts on the shelf that are kept for jobs whose customer agreed: one piece for each thing still to do.
    module Kept
      STATES = %w[settled in_work waiting].freeze

      module_function

      # @param part_ids [Array<Integer>]
      # @param except [Models::Job, nil] the job that asks, which may take its own
      # @return [Hash{Integer=>Integer}] part's id => pieces; 0 for the others
      def for_others(part_ids, except: nil)
        items = items_of(part_ids).exclude(Sequel[:work_items][:job_id] => except&.id || 0)
        items.group_and_count(:part_id).naked.as_hash(:part_id, :count).tap { |kept| kept.default = 0 }
      end

      # @return [Array<Integer>] numbers of the jobs that a part is kept for, who agreed first before the others
      def claims(part)
        items_of([part.id]).order(:agreed_at, :number).select_map(:number)
      end

      def items_of(part_ids)
        Models::WorkItem.join(:jobs, id: :job_id).where(Sequel[:work_items][:part_id] => part_ids, Sequel[:work_items][:action] => "replace",
                                                        Sequel[:work_items][:state] => "to_do", Sequel[:jobs][:state] => STATES)
      end
    end
  end
end
