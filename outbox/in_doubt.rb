# frozen_string_literal: true

module UprightBench
  module Outbox
    # It went out, and no answer came: it may have arrived.
    class InDoubt < Core::Error; end
  end
end
