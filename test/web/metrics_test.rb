# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# What a program that watches reads, and who may read it.
class MetricsTest < DatabaseTest
  include AsStaff

  TOKEN = "a token of more than 24 letters"

  def with_token(token = TOKEN.tr(" ", "-"), &)
    SETTINGS.stub(:metrics_token, token, &)
  end

  def read(token = TOKEN.tr(" ", "-"))
    get "/metrics", {}, "HTTP_AUTHORIZATION" => "Bearer #{token}"
    last_response.body
  end

  def test_requests_by_route_and_what_waits
    Web::Metrics.begin(nil)
    with_token do
      get "/healthz"
      get "/c/some-code-that-nobody-has"
      text = read

      assert_equal 200, status
      assert_match %r{upright_bench_requests_total\{method="GET",route="/healthz",status="200"\} 1}, text
      assert_includes text, "upright_bench_request_seconds_bucket"
      assert_match(/^upright_bench_jobs_in_shop \d+$/, text)
      assert_match(/^upright_bench_queue_waiting \d+$/, text)
      refute_includes text, "some-code", "a code opens a page"
    end
  end

  # The text format, version 0.0.4 (Prometheus, "Exposition formats", from memory): a name, labels, a number.
  def test_each_line_is_one_of_the_format
    with_token do
      read.lines(chomp: true).each do |line|
        assert_match(
          /\A(?:# (?:TYPE|HELP) \w+ .+|\w+(?:\{(?:\w+="(?:[^"\\]|\\.)*",?)*\})? -?[\d.e+-]+|\w+\{.*\} \+?Inf)\z/, line
        )
      end
    end
  end

  def test_nobody_without_the_token
    get "/metrics"

    assert_includes [302, 404], status
    with_token do
      ["", "wrong", "#{TOKEN.tr(' ', '-')}x"].each do |token|
        read(token)

        refute_equal 200, status, token
      end
    end
    assert_raises(ArgumentError) { Config::Settings.new({ "METRICS_TOKEN" => "short" }).metrics_token }
    assert_nil Config::Settings.new({}).metrics_token
  end
end
