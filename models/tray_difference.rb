# frozen_string_literal: true

module UprightBench
  module Models
    # Something that did not come out even when a tray or the tools were counted.
    class TrayDifference < Sequel::Model(:tray_differences)
      many_to_one :job
      many_to_one :opened_step
      many_to_one :noter, class: "UprightBench::Models::Person", key: :noted_by
      many_to_one :settler, class: "UprightBench::Models::Person", key: :settled_by

      dataset_module do
        where :standing, settled_at: nil
      end

      # @return [Integer] pieces that go home missing, by somebody's word
      def given_up
        explanation ? expected - counted : 0
      end
    end
  end
end
