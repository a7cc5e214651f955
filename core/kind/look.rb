# frozen_string_literal: true

module UprightBench
  module Core
    class Kind
      # How a kind of part is looked at when a fault is sought.
      #
      # @!attribute act [String] what to do
      # @!attribute sign [String] what shows that it is here
      # @!attribute tool [String, nil]
      class Look
        include Value

        fields :act, :sign, :tool
      end
    end
  end
end
