# frozen_string_literal: true

require_relative "system_zone"

module UprightBench
  module Launch
    # Which shop a folder keeps: the demo's, or one's own.
    class KeptShop
      # @param env [Hash] as ENV
      # @param folder [String] STATE_DIR
      # @param asked [Boolean] whether one's own is to be begun
      def initialize(env, folder:, asked:)
        @env = env
        @folder = folder
        @asked = asked
      end

      # @return [Boolean] one's own, and not the demo's
      def own?
        @env["APP_ENV"] == "production" || @asked || born?
      end

      # Its keys are made when it is born; the demo has none.
      def born?
        File.exist?(@env.fetch("KEYS_FILE", File.join(@folder, "keys.json")))
      end

      # The demo's shop lies where it lies; one's own, where the machine stands.
      # @return [String, nil]
      def zone
        @env["SHOP_TZ"] || (SystemZone.name(env: @env) if own?)
      end
    end
  end
end
