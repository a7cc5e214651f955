# frozen_string_literal: true

module UprightBench
  module Services
    # Parts on the shelf that are reserved for jobs whose customer agreed: one piece for each thing still to do, one
    # box for all that it serves in a job.
    module ReservedParts
      STATES = Core::Jobs::States::AGREED.map(&:to_s).freeze

      module_function

      # @param except [Models::Job, nil] the job that asks, which may take its own
      # @return [Hash{Integer=>Integer}] part's id => pieces reserved for other jobs; 0 for all that are not
      def for_others(except: nil)
        OF_OTHERS.all(job_id: except&.id || 0).to_h { |row| row.values_at(:part_id, :pieces) }
          .tap { |reserved| reserved.default = 0 }
      end

      OF_OTHERS = Models::Prepared.new(:reserved_for_others) do
        counted(items.naked.exclude(Sequel[:work_items][:job_id] => :$job_id))
      end
      private_constant :OF_OTHERS

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
        items.where(part_id: part.id).order(:agreed_at, :number).select_map(:number)
      end

      def items
        @items ||= Models::WorkItem.where(Sequel[:work_items][:action] => "replace",
          Sequel[:work_items][:state] => "to_do").join(:jobs, id: :job_id).where(Sequel[:jobs][:state] => STATES)
      end
    end
  end
end
