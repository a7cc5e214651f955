# frozen_string_literal: true

module UprightBench
  module Services
    # Finds one thing or says that there is none. Locks a job where the caller is going to change it.
    module Lookup
      BIGGEST_ID = (2**63) - 1

      module_function

      # What may be looked up, and what it is called.
      WORDS = { absence: "absence", answer: "answer", archive_run: "file", batch: "batch", booking: "booking",
                card: "card", customer: "customer", customer_import: "file", draft: "draft", fit_rule: "fit",
                job: "job", machine: "machine", note: "note", notice: "notice", offer: "offer",
                paper_run: "paper", parcel: "parcel", part: "part", part_import: "list", person: "person",
                picture: "picture", rack_stay: "part on the rack", registration: "registration", sheet: "sheet",
                supplier: "supplier" }.freeze

      # @param name [Symbol] one of WORDS
      # @param id [Integer, nil]
      # @raise [NotFound]
      def one(name, id)
        model = Models.const_get(name.to_s.split("_").map(&:capitalize).join)
        (model.with_pk(id) if id&.between?(1, BIGGEST_ID)) || raise(NotFound, "There is no such #{WORDS.fetch(name)}.")
      end

      # @raise [NotFound]
      def job(number, lock: false)
        if number.between?(1, BIGGEST_ID)
          found = Models::Job.where(number: number).then { |jobs| lock ? jobs.for_update : jobs }.first
        end
        found || raise(NotFound, "There is no job #{number}.")
      end

      # It names a hundred columns.
      JOB_TO_SHOW = Models::Prepared.new(:job_to_show) do
        Models::Job.eager_graph(:customer, :made_safe_person, machine: :sheet)
          .where(Sequel[:jobs][:number] => Sequel.cast(:$number, :bigint))
      end
      private_constant :JOB_TO_SHOW

      # @return [Models::Job] with machine, sheet, customer and who made it safe, read in one query
      # @raise [NotFound]
      def job_to_show(number)
        found = JOB_TO_SHOW.first(number: number) if number.between?(1, BIGGEST_ID)
        found || raise(NotFound, "There is no job #{number}.")
      end

      MACHINE_TO_SHOW = Models::Prepared.new(:machine_to_show) do
        Models::Machine.eager_graph(:customer, :sheet).where(Sequel[:machines][:id] => :$id)
      end
      private_constant :MACHINE_TO_SHOW

      # @return [Models::Machine] with its customer and sheet, read in one query
      # @raise [NotFound]
      def machine_to_show(id)
        found = MACHINE_TO_SHOW.first(id: id) if id&.between?(1, BIGGEST_ID)
        found || raise(NotFound, "There is no such machine.")
      end

      # @raise [NotFound]
      def bill(number)
        (Models::Bill.first(number: number) if number.between?(1, BIGGEST_ID)) ||
          raise(NotFound, "There is no bill #{number}.")
      end

      # @param code [String] a part's number, or its barcode
      # @return [Models::Part, nil]
      def part_scanned(code)
        Models::Part.where(barcode: code.strip).or(number: code.strip.upcase).first
      end

      # @raise [NotFound] when the job has no such item
      def work_item(job, id)
        Models::WorkItem.first(id: id.clamp(0, BIGGEST_ID), job_id: job.id) ||
          raise(NotFound, "Job #{job.number} has no such work item.")
      end
    end
  end
end
