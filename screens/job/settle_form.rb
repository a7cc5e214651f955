# frozen_string_literal: true

module UprightBench
  module Screens
    module Job
      # Who agreed, and how.
      class SettleForm < Form
        HOW = { "counter" => "at the counter", "phone" => "by phone", "message" => "by message" }.freeze

        takes do
          params do
            required(:agreed_name).filled(:string, max_size?: 120)
            required(:agreed_how).filled(:string, included_in?: HOW.keys)
          end
        end
      end
    end
  end
end
