# frozen_string_literal: true

require "fileutils"
require "prometheus/client"
require "prometheus/client/data_stores/direct_file_store"
require "prometheus/client/formats/text"

module UprightBench
  module Web
    # Counts requests and how long they took, by route, for a program that watches (text format of Prometheus, gem
    # prometheus-client). Only where a token for reading them is set.
    class Metrics
      BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10].freeze # seconds

      class << self
        # @param folder [Pathname, nil] where several web processes count together; nil for one alone
        def begin(folder)
          if folder
            FileUtils.rm_rf(folder)
            Prometheus::Client.config.data_store = Prometheus::Client::DataStores::DirectFileStore.new(dir: folder.to_s)
          end
          @registry = nil
          registry
        end

        # @return [Prometheus::Client::Registry]
        def registry
          @registry ||= Prometheus::Client::Registry.new.tap { |made| register(made) }
        end

        # @param gauges [Hash{Symbol=>Numeric, nil}] as of now; what is nil is left out
        # @return [String]
        def text(gauges)
          own = gauges.compact.map do |name, value|
            "# TYPE upright_bench_#{name} gauge\nupright_bench_#{name} #{value}\n"
          end
          Prometheus::Client::Formats::Text.marshal(registry) + own.join
        end

        # @param seconds [Float]
        def count(method, route, status, seconds)
          labels = { method: method, route: route }
          registry.get(:upright_bench_requests_total).increment(labels: { **labels, status: status.to_s })
          registry.get(:upright_bench_request_seconds).observe(seconds, labels: labels)
        end

        private

        def register(registry)
          registry.counter(:upright_bench_requests_total, docstring: "Requests, by route and status.",
            labels: %i[method route status])
          registry.histogram(:upright_bench_request_seconds, docstring: "How long requests took, by route.",
            labels: %i[method route], buckets: BUCKETS)
        end
      end
    end
  end
end
