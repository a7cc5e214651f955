# frozen_string_literal: true

module UprightBench
  module Services
    # The customer agrees: every replacement has its part or is left, the estimate is written down, and the promise is given.
    class Settle
      # @param agreed [Hash] as Agree takes it
      # @raise [Refused] while a part is not chosen
      # @raise [Invalid] when something must be agreed to by name
      def self.call(number, by:, at:, **agreed)
        EnterStage.call(number, :settled, by: by, at: at) do |job|
          estimate = Agree.new(job, by, at, **agreed).call
          { agreed_name: estimate.agreed_name, agreed_how: estimate.agreed_how, agreed_at: at, **Promises.fields(job, at: at) }
        end
      end
    end
  end
end
