# frozen_string_literal: true

require "ipaddr"

module UprightBench
  module Web
    # Who asks, and under which name. What a proxy reports of it counts only when the proxy is one of those that the
    # settings name (TRUSTED_PROXIES); from anybody else such headers are taken off. Afterwards REMOTE_ADDR is the
    # client.
    class Caller
      REPORTS = %w[HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_HOST HTTP_X_FORWARDED_PROTO HTTP_X_FORWARDED_PORT
                   HTTP_X_FORWARDED_SCHEME
                   HTTP_X_FORWARDED_SSL HTTP_X_REAL_IP HTTP_CLIENT_IP HTTP_FORWARDED].freeze
      LOOPBACK = /\A(?:localhost|127(?:\.\d{1,3}){3}|\[::1\])\z/

      # @param proxies [Array<IPAddr>]
      # @param hosts [Array<String>] names under which the application is asked, beside loopback's
      def initialize(app, proxies:, hosts:)
        @app = app
        @proxies = proxies
        @hosts = hosts.map(&:downcase)
      end

      def call(env)
        env["REMOTE_ADDR"] = client(env)
        REPORTS.each { |name| env.delete(name) }
        return @app.call(env) if ours?(env["HTTP_HOST"].to_s)

        Answer.page(421, env)
      end

      private

      # The nearest address that is not one of our proxies: each adds the one it was asked by at the end.
      def client(env)
        hops = env["HTTP_X_FORWARDED_FOR"].to_s.split(",").map(&:strip)
        address = env["REMOTE_ADDR"].to_s
        address = hops.pop while trusted?(address) && hops.any? && address?(hops.last)
        address
      end

      def trusted?(address)
        @proxies.any? { |proxy| proxy.include?(IPAddr.new(address)) }
      rescue IPAddr::Error
        false
      end

      def address?(text)
        !IPAddr.new(text).nil?
      rescue IPAddr::Error
        false
      end

      def ours?(host)
        name = host.downcase.sub(/:\d{1,5}\z/, "")
        name.match?(LOOPBACK) || @hosts.include?(name)
      end
    end
  end
end
