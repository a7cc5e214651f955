# frozen_string_literal: true

module UprightBench
  module Services
    # Who tests a machine at the end: whoever the owner named for it, and somebody else than whoever did the work last,
    # where the owner wants it so. Others see what one has missed oneself.
    module MayTest
      module_function

      # @param job [Models::Job]
      # @raise [Refused]
      def check(job, by:)
        refuse_unnamed(job, by)
        return if Policies.now["final_test_by"] != "another" || by.id != last_at_work(job)

        raise Refused, "#{by.name} did the last of the work on job #{job.number}: somebody else tests it."
      end

      def refuse_unnamed(job, by)
        named = Models::Person.may_sign_in.where(at_bench: true).where(NAMED).order(:name).select_map(%i[id name])
        return if named.empty? || by.role == "owner" || named.any? { |id, _| id == by.id }

        raise Refused, "Job #{job.number} is tested by #{named.map(&:last).join(' or ')}."
      end

      NAMED = Sequel.lit("'final_tests' = ANY(skills)")
      private_constant :NAMED

      def last_at_work(job)
        Models::WorkItem.where(job_id: job.id, state: "done").reverse(:done_at, :id).get(:done_by)
      end
      private_class_method :refuse_unnamed, :last_at_work
    end
  end
end
