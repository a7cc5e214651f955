# frozen_string_literal: true

module UprightBench
  module Services
    # The customer agrees: every replacement has its part or is left, and the promise is given.
    class Settle
      # @param agreed_name [String] who agreed
      # @param agreed_how [String] counter, phone or message
      # @raise [Refused] while a part is not chosen
      def self.call(number, agreed_name:, agreed_how:, by:, at:)
        EnterStage.call(number, :settled, by: by, at: at) do |job|
          refuse_open_choice(job)
          { agreed_name: agreed_name, agreed_how: agreed_how, agreed_at: at, **Promises.fields(job, at: at) }
        end
      end

      def self.refuse_open_choice(job)
        open = Models::WorkItem.where(job_id: job.id, action: "replace", state: "to_do", part_id: nil).select_map(:position)
        return if open.empty?

        names = open.map { |key| job.sheet.position(key).name.downcase }
        raise Refused, "Choose a part for #{names.join(' and ')}, or leave it as it is."
      end
      private_class_method :refuse_open_choice
    end
  end
end
