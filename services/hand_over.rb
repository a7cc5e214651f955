# frozen_string_literal: true

module UprightBench
  module Services
    # The machine leaves the shop.
    class HandOver
      # @raise [Refused] before it is closed up, declined or referred
      def self.call(number, by:, at:)
        EnterStage.call(number, :handed_over, by: by, at: at) { { handed_over_at: at } }
      end
    end
  end
end
