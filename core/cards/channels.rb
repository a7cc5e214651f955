# frozen_string_literal: true

module UprightBench
  module Core
    module Cards
      # The ways a card can go, in the order in which one is taken where several are agreed to: what costs least first.
      module Channels
        ORDER = %i[email text post phone].freeze
        WORDS = { email: "e-mail", text: "text message", post: "post", phone: "phone call" }.freeze
      end
    end
  end
end
