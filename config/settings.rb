# frozen_string_literal: true

require "ipaddr"
require "pathname"
require "uri"

module UprightBench
  module Config
    # What the environment says, with a default for each that suits the demo on one machine.
    class Settings
      ROOT = Pathname(__dir__).parent
      DEMO_SECRET = "the demo's own secret, known to everyone, refused in production: #{'-' * 20}".freeze
      DEFAULT_PORT = "4610"

      def initialize(env = ENV)
        @env = env
      end

      def production?
        environment == "production"
      end

      def environment
        @env.fetch("APP_ENV", "development")
      end

      # @raise [KeyError] when there is none
      def database_url
        @env.fetch("DATABASE_URL")
      end

      def port
        Integer(@env.fetch("PORT", DEFAULT_PORT), 10)
      end

      # @return [String, nil] the role that owns the tables; only migrations run as it
      def database_owner_url
        @env["DATABASE_OWNER_URL"]
      end

      # The file of keys; without one, SESSION_SECRET for all purposes, and outside production the demo's.
      # @return [Keys]
      # @raise [ArgumentError] in production without any, or when the secret is too short
      def keys
        @keys ||= Keys.read(keys_file, today: Date.today) || Keys.of_one_secret(one_secret, today: Date.today)
      end

      # @return [Pathname]
      def keys_file
        Pathname(@env.fetch("KEYS_FILE", state_dir.join("keys.json").to_s))
      end

      # @return [String, nil] SESSION_SECRET
      # @raise [ArgumentError] when it is too short, or the demo's in production
      def own_secret
        secret = @env["SESSION_SECRET"] or return
        raise ArgumentError, "SESSION_SECRET needs 64 bytes or more" if secret.bytesize < 64
        if production? && secret == DEMO_SECRET
          raise ArgumentError, "SESSION_SECRET is the demo's, which everybody knows"
        end

        secret
      end

      # @return [MailServer, nil] as SMTP_URL says; nil drops mail into the outbox folder
      # @raise [ArgumentError]
      def mail_server
        @env["SMTP_URL"] && MailServer.new(@env["SMTP_URL"])
      end

      # @return [String, nil] the address that servers send undeliverable mail back to; the shop's own when nil
      def return_address
        @env["RETURN_ADDRESS"]
      end

      # @return [Pathname] where mail that came back is laid, a file each
      def returns_dir
        Pathname(@env.fetch("RETURNS_DIR", state_dir.join("inbox").to_s))
      end

      # @return [String, nil] with which /metrics is read; without one there is no such page
      # @raise [ArgumentError] when it is too short
      def metrics_token
        token = @env["METRICS_TOKEN"].to_s
        return if token.empty?
        raise ArgumentError, "METRICS_TOKEN needs 24 letters or more" if token.length < 24

        token
      end

      # @return [String, nil] what shall go wrong with the stand-ins, as Outbox::Devices::Trouble reads it
      def device_trouble
        @env["DEVICE_TROUBLE"]
      end

      # @return [Pathname] where the program keeps its own files
      def state_dir
        Pathname(@env.fetch("STATE_DIR", ROOT.join("var").to_s))
      end

      def time_zone
        @env.fetch("SHOP_TZ", "America/Halifax")
      end

      # @return [String] the address customers reach the application by, no slash at the end
      def public_url
        @env.fetch("PUBLIC_URL", "http://127.0.0.1:#{port}").chomp("/")
      end

      # @return [Array<String>] where our own forms come from, as a browser writes it: scheme and host, and the port
      #   where it is not the usual one
      def origins
        uri = URI(public_url)
        port = ":#{uri.port}" unless uri.port == uri.default_port
        [uri.host, *list("ALLOWED_HOSTS")].map { |host| "#{uri.scheme}://#{host}#{port}" }
      end

      # @return [Array<String>] host names, without ports, under which the application is asked beside loopback's
      def hosts
        [URI(public_url).host, *list("ALLOWED_HOSTS")].compact
      end

      # @return [Array<IPAddr>] the proxies whose word about the client counts
      # @raise [IPAddr::Error] when one is no address and no network
      def trusted_proxies
        list("TRUSTED_PROXIES").map { |network| IPAddr.new(network) }
      end

      # Behind TLS the session cookie is never sent in the clear.
      def tls?
        public_url.start_with?("https:")
      end

      private

      def one_secret
        own_secret || (production? ? raise(ArgumentError, no_keys) : DEMO_SECRET)
      end

      def no_keys
        "there are no keys: #{keys_file} is not there, and SESSION_SECRET is not set"
      end

      def list(name)
        @env.fetch(name, "").split(/[\s,]+/).reject(&:empty?)
      end
    end
  end
end
