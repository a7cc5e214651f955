# frozen_string_literal: true

module UprightBench
  module Outbox
    # The customer's page of a job, behind the code on the tag's slip.
    module JobLink
      DAYS = 120 # from taking in; by then the machine is long handed over (house rule)

      module_function

      # @param job [Models::Job]
      # @return [String]
      def of(job)
        "#{SETTINGS.public_url}/j/#{codes.write(job.id, Config::Zone.date(job.taken_in_at) + DAYS)}"
      end

      # @param code [String] as typed or scanned
      # @return [Integer] the job's id
      # @raise [Formats::SignedCode::NotOurs]
      def read(code, today:)
        codes.read(code, today: today)
      end

      def codes
        @codes ||= Formats::SignedCode.new(SETTINGS.keys.accepted(:slips))
      end
    end
  end
end
