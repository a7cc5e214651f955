# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# The page of gauges, and the door through which their readers hand on what they write.
class GaugesScreenTest < DatabaseTest
  include AsStaff

  def add(**wrong)
    submit "/gauges", { "name" => "Long arm", "pattern" => "{value} {unit}", "unit" => "", "error_percent" => "1,5",
                        **wrong }, from: "/gauges"
  end

  def hand_on(body, token)
    header "Authorization", "Bearer #{token}"
    post "/gauge-lines", body, "CONTENT_TYPE" => "text/plain"
    last_response
  end

  def test_added_heard_changed_and_put_away
    sign_in(owner.email)
    add

    assert_equal 200, last_response.status
    token = last_response.body[%r{<p class="mono">(\S{43})</p>}, 1]
    gauge = Models::Gauge.first(name: "Long arm")
    get "/gauges"

    refute_includes last_response.body, token, "it is shown once"
    assert_equal "{}", hand_on("300 -12.3 kPa\n0 strange\n", token).body
    get "/gauges"

    assert_match(/“strange”, which cannot be read so/, last_response.body)
    hand_on("0 182.5 g\n", token)
    get "/gauges"

    assert_match(/“182.5 g”, which is no reading of a suction gauge and is not taken/, last_response.body)
    submit "/gauges/#{gauge.id}", { "id" => gauge.id.to_s, "name" => "Arm", "pattern" => "{value}", "unit" => "mbar",
                                    "error_percent" => "2" }, from: "/gauges"

    assert_equal %w[Arm mbar], gauge.refresh.values.values_at(:name, :unit)
    submit "/gauges/#{gauge.id}/away", {}, from: "/gauges"

    assert_equal 401, hand_on("0 1 kPa\n", token).status
  end

  def test_what_is_wrong_stands_beside_its_field
    sign_in(owner.email)
    { { "pattern" => "kPa" } => "a pattern has {value} once", { "pattern" => "{value}" } => "say the unit",
      { "error_percent" => "90" } => "error", { "name" => "" } => "name" }.each do |wrong, words|
      add(**wrong)

      assert_equal 422, last_response.status, wrong.inspect
      assert_includes last_response.body, words
    end
    assert_nil Models::Gauge.first(name: "Long arm")
  end

  # By nobody, with no token, somebody else's, a long one, and a body without end.
  def test_who_has_no_token_is_not_heard
    ["", "x", "x" * 43, "x" * 5000, "' OR 1=1 --" * 3].each do |token|
      assert_equal 401, hand_on("0 1 kPa\n", token).status, token[0, 50]
    end
    assert_equal 413, hand_on("0 1 kPa\n" * 5000, "x" * 43).status
  end
end
