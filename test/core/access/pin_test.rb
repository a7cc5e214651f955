# frozen_string_literal: true

require_relative "../../core_helper"

class PinTest < CoreTest
  def test_what_anybody_would_try_first_is_none
    %w[1111 1234 4321 0123 987654 1987 2026 123 123456789 12a4].push("", " 1234").each do |pin|
      refute_nil Access::Pin.problem(pin), pin
    end
    %w[7391 0042 19875 55512].each { |pin| assert_nil Access::Pin.problem(pin), pin }
  end
end

# Strings as browsers send them (RFC 9110, 10.1.5; forms from memory).
class DeviceTest < CoreTest
  def test_the_first_that_fits_counts
    { "Mozilla/5.0 (Windows NT 10.0) AppleWebKit/537.36 Chrome/120 Safari/537.36 Edg/120" => "Edge on Windows",
      "Mozilla/5.0 (Macintosh; Intel Mac OS X) AppleWebKit/605 Version/17 Safari/605" => "Safari on a Mac",
      "Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/120 Mobile Safari/537.36" => "Chrome on Android",
      "" => "a browser", "curl/8" => "a browser" }.each do |agent, words|
      assert_equal words, Access::Device.words(agent)
    end
    assert_equal "a browser", Access::Device.words(nil)
  end
end
