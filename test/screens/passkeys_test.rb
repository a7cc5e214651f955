# frozen_string_literal: true

require_relative "../test_helper"
require "webauthn/fake_client"
require_relative "../support/as_staff"

# Passkeys as a browser would send them, made by the fake client of the gem webauthn, which signs as a device does.
class PasskeysTest < DatabaseTest
  include AsStaff

  PASSWORD = Demo::Load::PASSWORD
  ORIGIN = "http://localhost"

  def build_rack_test_session(_name)
    Rack::Test::Session.new(app, "localhost")
  end

  def device
    @device ||= WebAuthn::FakeClient.new(ORIGIN, encoding: :base64url, authenticator: @keys = new_keys)
  end

  def new_keys
    WebAuthn::FakeAuthenticator.new
  end

  # What a page asks of the device.
  def hidden(name)
    page[/name="#{name}" value="([^"]+)"/, 1]
  end

  def answer(kind, answer)
    { "_csrf" => token, "#{kind}_challenge" => hidden("#{kind}_challenge"),
      "#{kind}_challenge_hmac" => hidden("#{kind}_challenge_hmac"), kind => answer.to_json }
  end

  def add_passkey(password: PASSWORD, challenge: nil, verified: true)
    get "/webauthn-setup"
    made = device.create(challenge: challenge || hidden("webauthn_setup_challenge"), rp_id: "localhost",
      user_verified: verified)
    post "/webauthn-setup", answer("webauthn_setup", made).merge("password" => password)
  end

  def sign(challenge, verified: true, **more)
    device.get(challenge: challenge, rp_id: "localhost", user_verified: verified, **more)
  end

  def sign_in_by_passkey(**more)
    clear_cookies
    get "/login"
    post "/webauthn-login", answer("webauthn_auth", sign(hidden("webauthn_auth_challenge"), **more))
  end

  def inside?
    get "/shelf"
    status == 200
  end

  def test_added_and_signed_in_with_alone
    sign_in(technician.email)
    add_passkey

    assert_equal [302, "/recovery-codes"], [status, last_response["location"]]
    assert technician.refresh.second_factor, "a password alone is not enough any more"
    get "/me"

    assert_match(/added today/, page)
    sign_in_by_passkey(sign_count: 5)

    assert_predicate self, :inside?
    assert_equal "signed in", Models::Event.where(person_id: technician.id).reverse(:id).get(:verb)
    clear_cookies
    sign_in(technician.email)

    refute_predicate self, :inside?
    get "/login"

    assert_equal "/webauthn-auth", last_response["location"]
    get "/webauthn-auth"
    post "/webauthn-auth", answer("webauthn_auth", sign(hidden("webauthn_auth_challenge"), sign_count: 6))

    assert_predicate self, :inside?
  end

  def test_what_is_not_taken
    sign_in(technician.email)
    add_passkey(password: "wrong")
    add_passkey(challenge: WebAuthn::Encoders::Base64UrlEncoder.encode("x" * 32))

    assert_equal 0, DB[:person_passkeys].count
    @device = nil # it would answer with a key that was not taken
    add_passkey
    sign_in_by_passkey(sign_count: 5)

    assert_predicate self, :inside?
    elsewhere = WebAuthn::FakeClient.new("http://elsewhere.example.org", encoding: :base64url, authenticator: @keys)
    { "the same signature counter" => [device, 5], "another place" => [elsewhere, 9] }.each do |what, (client, count)|
      clear_cookies
      get "/login"
      signed = client.get(challenge: hidden("webauthn_auth_challenge"), rp_id: "localhost", user_verified: true,
        sign_count: count)
      post "/webauthn-login", answer("webauthn_auth", signed)

      refute_predicate self, :inside?, what
    end
    { "webauthn_auth" => "{", "webauthn_auth_challenge_hmac" => "x" }.each do |name, value|
      clear_cookies
      get "/login"
      typed = answer("webauthn_auth", sign(hidden("webauthn_auth_challenge"), sign_count: 20)).merge(name => value)
      post "/webauthn-login", typed

      refute_predicate self, :inside?, name
    end
    clear_cookies
    get "/login"
    foreign = WebAuthn::FakeClient.new(ORIGIN, encoding: :base64url)
    foreign.create(rp_id: "localhost")
    post "/webauthn-login",
      answer("webauthn_auth", foreign.get(challenge: hidden("webauthn_auth_challenge"), rp_id: "localhost"))

    refute_predicate self, :inside?, "a passkey of nobody"
  end

  # Of any shape: never an error of ours, never a way in.
  def test_what_no_device_says
    add = lambda { |said|
      get "/webauthn-setup"
      post "/webauthn-setup", answer("webauthn_setup", said).merge("password" => PASSWORD)
    }
    sign_in(technician.email)
    get "/webauthn-setup"
    right = device.create(challenge: hidden("webauthn_setup_challenge"), rp_id: "localhost", user_verified: true)
    strange(right).each do |said|
      add.call(said)

      assert_includes [401, 422], status, said.to_s[0, 80]
    end
    add_passkey
    clear_cookies
    strange(device.get(rp_id: "localhost", user_verified: true)).each do |said|
      get "/login"
      post "/webauthn-login", answer("webauthn_auth", said)

      assert_equal 302, status, said.to_s[0, 80]
      refute_predicate self, :inside?
    end
  end

  # A right answer, spoilt in many places.
  def strange(right)
    spoilt = ["", "!", "AAAA", "x" * 5000, [1], { "a" => 1 }, nil, 7]
    [nil, 1, [], "x", {}, *%w[id rawId type response].product(spoilt).map { |key, value| right.merge(key => value) },
     *right["response"].keys.product(spoilt - [nil])
       .map { |key, value| right.merge("response" => right["response"].merge(key => value)) }]
  end

  # A key that asked for nothing is only what somebody has.
  def test_without_finger_or_pin_it_is_half
    sign_in(technician.email)
    add_passkey
    sign_in_by_passkey(sign_count: 5, verified: false)

    refute_predicate self, :inside?
  end

  def test_who_left_does_not_come_in
    sign_in(technician.email)
    add_passkey
    Services::Staff.close(technician, by: owner, at: NOW)
    sign_in_by_passkey(sign_count: 5)

    refute_predicate self, :inside?
  end

  def test_taken_off_by_oneself_and_by_the_owner
    sign_in(technician.email)
    add_passkey
    id = DB[:person_passkeys].get(:webauthn_id)
    get "/webauthn-remove"
    post "/webauthn-remove", { "_csrf" => token, "webauthn_remove" => id, "password" => "wrong" }

    assert_equal 1, DB[:person_passkeys].count
    get "/webauthn-remove"
    post "/webauthn-remove", { "_csrf" => token, "webauthn_remove" => id, "password" => PASSWORD }

    assert_equal [0, 0, false], [DB[:person_passkeys].count, DB[:person_recovery_codes].count,
                                 technician.refresh.second_factor]
    clear_cookies
    sign_in(technician.email)
    add_passkey
    Services::Staff.take_off_factor(technician.refresh, by: owner, at: NOW)

    assert_equal [0, false], [DB[:person_passkeys].count, technician.refresh.second_factor]
    sign_in_by_passkey(sign_count: 5)

    refute_predicate self, :inside?
  end

  # Not somebody else's.
  def test_only_ones_own_is_taken_off
    sign_in(technician.email)
    add_passkey
    theirs = DB[:person_passkeys].get(:webauthn_id)
    clear_cookies
    @device = nil
    sign_in(owner.email)
    add_passkey
    get "/webauthn-remove"
    post "/webauthn-remove", { "_csrf" => token, "webauthn_remove" => theirs, "password" => PASSWORD }

    assert_equal 2, DB[:person_passkeys].count
  end

  # A browser takes none at a number: nothing of them is offered there.
  def test_at_a_number_there_are_none
    by_number = Rack::Test::Session.new(app, "127.0.0.1")
    by_number.get "/login"

    refute_includes by_number.last_response.body, "passkey\""
    get "/login"

    assert_includes page, "Sign in with a passkey"
  end
end
