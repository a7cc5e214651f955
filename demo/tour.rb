# frozen_string_literal: true

require "json"

module UprightBench
  module Demo
    # Where somebody who sees the demo for the first time looks first: kept beside its data, so that every start can say
    # it.
    module Tour
      FILE = "tour.json"

      module_function

      # @param folder [Pathname]
      def write(folder)
        folder.join(FILE).write(JSON.generate(stops))
      end

      # @return [Hash{String=>String}] what is there => path
      def stops
        { "the bench" => "/", "a customer's page" => customers_page, "a look-over, for a phone" => look_over }.compact
      end

      # The job page of a customer who asked a question about an estimate.
      def customers_page
        job = Models::Job.where(id: Models::Question.select(:job_id)).order(:id).first
        URI(Outbox::JobLink.of(job)).path if job
      end

      def look_over
        job = Models::Job.where(state: "taken_in").order(:id).first
        "/jobs/#{job.number}/look-over" if job
      end
      private_class_method :customers_page, :look_over
    end
  end
end
