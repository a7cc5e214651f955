# frozen_string_literal: true

module UprightBench
  module Services
    # Parts on the shelf that are reserved for jobs whose customer agreed: one piece for each thing still to do, one
    # box for all that it serves in a job.
    module ReservedParts
      STATES = Core::Jobs::States::AGREED.map(&:to_s).freeze

      module_function

      # @param part_ids [Array<Integer>]
      # @param except [Models::Job, nil] the job that asks, which may take its own
      # @return [Hash{Integer=>Integer}] part's id => pieces; 0 for the others
      def for_others(part_ids, except: nil)
        # As mostly; the rest takes longer to plan than to answer
        return Hash.new(0) if to_do.where(part_id: part_ids).empty?

        items = items_of(part_ids).exclude(Sequel[:work_items][:job_id] => except&.id || 0)
        counted(items).naked.as_hash(:part_id, :pieces).tap { |reserved| reserved.default = 0 }
      end

      # @param job [Models::Job] the one that asks
      # @return [Hash{Integer=>Integer}] of every part that is reserved for another job; 0 for the others
      def besides(job)
        counted(items.exclude(Sequel[:work_items][:job_id] => job.id)).naked.as_hash(:part_id, :pieces)
          .tap { |reserved| reserved.default = 0 }
      end

      # @return [Sequel::Dataset] part_id and pieces of all that is reserved
      def all
        counted(items)
      end

      # @return [Sequel::Dataset] part_id and pieces
      def counted(items)
        items.join(:parts, id: Sequel[:work_items][:part_id]).group(:part_id).select(:part_id, pieces.as(:pieces))
      end

      # One box for a job.
      # @return [Sequel::SQL::Expression] of grouped items
      def pieces
        @pieces ||= begin
          box = Sequel.function(:bool_or, Sequel.~(Sequel[:parts][:contents] => Sequel.pg_jsonb({})))
          Sequel.case([[box, Sequel.function(:count, Sequel[:work_items][:job_id]).distinct]],
            Sequel.function(:count).*)
        end
      end

      # @return [Array<Integer>] numbers of the jobs that a part is reserved for, who agreed first before the others
      def claims(part)
        items_of([part.id]).order(:agreed_at, :number).select_map(:number)
      end

      def items_of(part_ids)
        items.where(Sequel[:work_items][:part_id] => part_ids)
      end

      def items
        @items ||= to_do.join(:jobs, id: :job_id).where(Sequel[:jobs][:state] => STATES)
      end

      def to_do
        @to_do ||= Models::WorkItem.where(Sequel[:work_items][:action] => "replace",
          Sequel[:work_items][:state] => "to_do")
      end
    end
  end
end
