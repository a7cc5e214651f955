# frozen_string_literal: true

module UprightBench
  module Services
    # A machine whose suction or flow after the work is far below what it should be is not closed up without a word.
    module PullsEnough
      module_function

      # @param job [Models::Job]
      # @return [Array<Core::Suction::Gain>] what was read after the work and is too little
      def too_little(job)
        AirOfJob.new(job).weak(Policies.now["least_restored_percent"])
      end

      # @param reason [String] empty when none was given
      # @return [Hash] columns of the job
      # @raise [Refused]
      def check(job, reason, by:)
        weak = too_little(job)
        return {} if weak.empty?
        raise Refused, "#{words(weak)} Find out why, or write why it goes like this." if reason.empty?

        { weak_air_reason: reason[0, 300], weak_air_by: by.id }
      end

      # @return [String] as in "After the work it reaches 61 % of what it should."
      def words(weak)
        "After the work it reaches #{(weak.map(&:restored).min * 100).round} % of what it should."
      end
    end
  end
end
