# frozen_string_literal: true

module UprightBench
  module Outbox
    # The channel will not take this for this address, now or ever.
    class Rejected < Core::Error; end
  end
end
