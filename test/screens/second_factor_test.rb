# frozen_string_literal: true

require "rotp"
require_relative "../test_helper"
require_relative "../support/as_staff"

# A code from the phone after the password; codes on paper; the owner's rules; a tablet that is taken over by PIN.
class SecondFactorTest < DatabaseTest
  include AsStaff

  PASSWORD = Demo::Load::PASSWORD

  def code(key, at = Time.now)
    ROTP::TOTP.new(key).at(at)
  end

  # The key of whoever is signed in, who has set it up.
  def set_up
    get "/otp-setup"
    key = page[/name="otp_secret" value="([^"]+)"/, 1]
    post "/otp-setup", { "_csrf" => token, "otp_secret" => key, "password" => PASSWORD, "otp" => code(key) }
    key
  end

  def again(email = technician.email)
    clear_cookies
    sign_in(email)
  end

  def test_set_up_and_asked_for_at_the_next_sign_in
    sign_in(technician.email)
    key = set_up

    assert_equal [302, "/recovery-codes"], [status, last_response["location"]]
    assert technician.refresh.second_factor
    get "/shelf"

    assert_equal 200, status, "who has just set it up goes on"
    again
    get "/shelf"

    assert_equal [302, "/login"], [status, last_response["location"]]
    get "/login"

    assert_equal "/otp-auth", last_response["location"]
    get "/otp-auth"
    post "/otp-auth", { "_csrf" => token, "otp" => "000000" }

    assert_says(/not right/)
    get "/shelf"

    assert_equal 302, status
    used_a_while_ago
    get "/otp-auth"
    post "/otp-auth", { "_csrf" => token, "otp" => code(key) }
    get "/shelf"

    assert_equal 200, status
  end

  # The code of this half minute was used to set it up. It is compared with our clock and with the database's own.
  def used_a_while_ago
    DB[:person_otp_keys].update(last_use: Time.utc(2020))
  end

  # RFC 6238, appendix B: the key "12345678901234567890" (base32 below), SHA-1, eight digits; the last six are ours.
  def test_the_codes_are_those_of_the_standard
    key = "GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ"

    { 59 => "94287082", 1_111_111_109 => "07081804", 1_234_567_890 => "89005924", 20_000_000_000 => "65353130" }
      .each { |seconds, eight| assert_equal eight[2..], code(key, Time.at(seconds)) }
  end

  def test_a_password_alone_opens_nothing
    sign_in(technician.email)
    set_up
    again
    Screens::App.doors.reject(&:open).select { |door| door.verb == "GET" && !door.path.include?(":") }.each do |door|
      get door.path

      assert_includes [302, 401], status, door.path
    end
    get "/otp-disable"
    post "/otp-disable", { "_csrf" => token, "password" => PASSWORD }

    assert technician.refresh.second_factor, "nor takes it off"
    get "/recovery-codes"
    post "/recovery-codes", { "_csrf" => token, "password" => PASSWORD }

    refute_match(/id="recovery-codes"/, page)
  end

  def test_codes_on_paper_are_good_once
    sign_in(technician.email)
    set_up
    get "/recovery-codes"
    post "/recovery-codes", { "_csrf" => token, "password" => PASSWORD }
    codes = page.scan(%r{<li>([^<]+)</li>}).flatten

    assert_operator codes.size, :>=, 10
    2.times do |round|
      again
      get "/recovery-auth"
      post "/recovery-auth", { "_csrf" => token, "recovery-code" => codes.first }
      get "/shelf"

      assert_equal round.zero? ? 200 : 302, status
    end
  end

  def test_after_too_many_wrong_codes_only_paper_helps
    sign_in(technician.email)
    key = set_up
    again
    6.times do
      get "/otp-auth"
      post "/otp-auth", { "_csrf" => token, "otp" => "000000" } if status == 200
    end
    get "/otp-auth"

    assert_equal "/recovery-auth", last_response["location"]
    used_a_while_ago
    post "/otp-auth", { "_csrf" => token, "otp" => code(key) }
    get "/shelf"

    assert_equal 302, status
  end

  def test_taken_off_by_oneself_and_by_the_owner
    sign_in(technician.email)
    set_up
    get "/otp-disable"
    post "/otp-disable", { "_csrf" => token, "password" => "wrong" }

    assert technician.refresh.second_factor
    get "/otp-disable"
    post "/otp-disable", { "_csrf" => token, "password" => PASSWORD }

    refute technician.refresh.second_factor
    set_up
    again(owner.email)
    submit "/people/#{technician.id}/factor", {}, from: "/people"
    again
    get "/shelf"

    assert_equal 200, status
    assert_equal 0, DB[:person_recovery_codes].count
  end

  def test_the_owner_asks_it_of_a_role
    sign_in
    submit "/people/safety", { "factor" => ["technician"] }, from: "/people/roles"
    again
    get "/shelf"

    assert_equal [303, "/me"], [status, last_response["location"]]
    get "/me"

    assert_says(/Your role needs a second factor/)
    set_up
    get "/shelf"

    assert_equal 200, status
    assert_raises(Services::Invalid) { Services::SecondFactor.require(%w[boss], by: owner, at: NOW) }
    assert_raises(Services::Forbidden) { Services::SecondFactor.require([], by: technician, at: NOW) }
  end

  def test_one_sign_in_is_ended
    other = Rack::Test::Session.new(app, HOST)
    other.header "User-Agent", "Mozilla/5.0 (X11; Linux) Firefox/130.0"
    other.get "/login"
    other.post "/login", { "_csrf" => other.last_response.body[/name="_csrf" value="([^"]+)"/, 1],
      "login" => technician.email, "password" => PASSWORD }
    sign_in(technician.email)
    get "/me"

    assert_includes page, "Firefox on Linux"
    assert_equal 1, page.scan("<b>here</b>").size
    submit page[%r{/me/sessions/\d+/end}], {}, from: "/me"
    other.get "/shelf"

    assert_equal 302, other.last_response.status
    get "/shelf"

    assert_equal 200, status
    theirs = DB[:person_sessions].where(person_id: technician.id).get(:id)
    again(owner.email)
    submit "/me/sessions/#{theirs}/end", {}, from: "/me"

    assert_equal 1, DB[:person_sessions].where(id: theirs).count, "only one's own"
  end

  def test_a_tablet_is_taken_over_by_pin
    counter = Models::Person.may_sign_in.first(role: "counter")
    Services::Pins.allow(true, by: owner, at: NOW)
    { "1234" => 422, "1987" => 422, "12" => 422, "7391" => 303 }.each do |pin, expected|
      again(counter.email)
      submit "/me/pin", { "pin" => pin, "pin_password" => PASSWORD }, from: "/me"

      assert_equal expected, status, pin
    end
    again
    submit "/take-over", { "person_id" => counter.id, "pin" => "7392" }, from: "/take-over"

    assert_equal 422, status
    submit "/take-over", { "person_id" => counter.id, "pin" => "7391" }, from: "/take-over"
    get "/me"

    assert_includes page, counter.email
    assert_equal [counter.id], DB[:person_sessions].select_map(:person_id).last(1)
    assert_equal "took over by PIN", Models::Event.where(person_id: counter.id).reverse(:id).get(:verb)
  end

  # Whoever knows the one may know the other.
  def test_a_pin_goes_with_a_password_that_is_given_anew
    counter = Models::Person.may_sign_in.first(role: "counter")
    counter.update(pin_hash: Services::Passwords.digest("7391"))
    Services::Staff.give_password(counter, by: owner, at: NOW)

    assert_nil counter.refresh.pin_hash
  end

  def test_no_pin_for_owners_nor_where_it_is_off_and_guessing_takes_long
    counter = Models::Person.may_sign_in.first(role: "counter")
    [owner, counter].each { |person| person.update(pin_hash: Services::Passwords.digest("7391")) }
    sign_in(technician.email)
    over = lambda { |person, pin|
      submit("/take-over", { "person_id" => person.id, "pin" => pin }, from: "/legend")
      status
    }

    assert_equal 422, over.call(counter, "7391"), "off unless the owner lets it"
    Services::Pins.allow(true, by: owner, at: NOW)

    assert_equal 422, over.call(owner, "7391")
    8.times { |n| over.call(counter, "000#{n}") }

    assert_says(/Wait \d+/)
    assert_equal 422, over.call(counter, "7391"), "the right one is not looked at meanwhile"
  end
end
