# frozen_string_literal: true

module UprightBench
  module Services
    # Says that the maker pays for a thing to do, or that the customer does after all.
    class CoverItem
      # @param covered [Boolean]
      # @raise [Refused] when the machine is out of warranty, or the work is agreed already
      def self.call(number, item_id, covered:, by:, at:)
        DB.transaction do
          job = Lookup.job(number, lock: true)
          item = Lookup.work_item(job, item_id)
          refuse(job, covered, Config::Zone.date(at))
          item.update(covered: covered)
          History.note(covered ? "covered by the maker" : "not covered", item, by: by, at: at, job: job,
            data: { position: item.position })
          item
        end
      end

      def self.refuse(job, covered, today)
        unless job.estimated?
          raise Refused, "Job #{job.number} is #{job.state_words}: who pays is settled before it is agreed."
        end

        warranty = job.machine.warranty(today)
        refuse_cover(warranty) if covered && !warranty.in?
      end

      def self.refuse_cover(warranty)
        raise Refused, "The maker covers nothing: #{English::Sentences.of(warranty.reason)}."
      end
      private_class_method :refuse, :refuse_cover
    end
  end
end
