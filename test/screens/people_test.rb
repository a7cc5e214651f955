# frozen_string_literal: true

require_relative "../test_helper"
require_relative "../support/as_staff"

# People on screen: added with a first password that is shown once and changed at once; changed, locked out; and one's
# own account, whatever one may otherwise do.
class PeopleScreenTest < DatabaseTest
  include AsStaff

  PHRASE = "seven grey gulls at noon"

  def setup
    sign_in
  end

  def add(role: "look_only")
    submit "/people", { "name" => "New Hand", "email" => "new@example.org", "role" => role }, from: "/people"
    page[/given-password">([^<]+)</, 1]
  end

  def new_hand
    Models::Person.first(email: "new@example.org")
  end

  def change_password(old, new, again = new)
    submit "/me/password", { "old" => old, "new" => new, "again" => again }, from: "/me"
  end

  def test_from_the_first_password_to_ones_own
    given = add

    assert_includes last_response["cache-control"], "no-store"
    get "/people"

    refute_includes page, given
    clear_cookies
    sign_in("new@example.org", given)
    get "/shelf"

    assert_equal [303, "/me"], [status, last_response["location"]]
    change_password(given, "short", "short")

    assert_equal 422, status
    change_password(given, PHRASE, "another")

    assert_says(/The new one once more is not the same/)
    change_password(given, PHRASE)

    assert_equal [303, "/login"], [status, last_response["location"]]
    get "/shelf"

    assert_equal "/login", last_response["location"]
    sign_in("new@example.org", PHRASE)
    get "/shelf"

    assert_equal 200, status
  end

  # A slip of paper with it may be found later.
  def test_a_password_that_was_given_runs_out
    given = add
    new_hand.update(password_given_at: NOW - (8 * 86_400))
    clear_cookies
    sign_in("new@example.org", given)

    assert_equal 401, status
    new_hand.update(password_given_at: NOW - (6 * 86_400))
    sign_in("new@example.org", given)

    assert_equal 302, status
  end

  def test_changed_and_locked_out
    add
    one = new_hand
    submit "/people/#{one.id}", { "name" => "", "email" => "nobody", "role" => "king" }, from: "/people"

    assert_equal 422, status
    assert_says(/Name /)
    submit "/people/#{one.id}", { "name" => "Newer Hand", "email" => "new@example.org", "role" => "counter" },
      from: "/people"

    assert_equal ["Newer Hand", "counter"], one.refresh.values.values_at(:name, :role)
    submit "/people/#{one.id}/close", {}, from: "/people"
    get "/people"

    assert_says(/locked out/)
    submit "/people/#{one.id}/let-in", {}, from: "/people"

    assert Services::Passwords.right?(one.refresh, page[/given-password">([^<]+)</, 1])
    submit "/people/#{one.id}/promote", {}, from: "/people"

    assert_equal 404, status
    submit "/people/#{owner.id}/close", {}, from: "/people"

    assert_equal 409, status
  end

  def test_only_the_owner_sees_them
    clear_cookies
    sign_in(Demo::Load.mail("Tobiah Lund"))
    [-> { get "/people" }, -> { submit "/people", { "name" => "X", "email" => "x@example.org", "role" => "owner" } },
     -> { submit "/people/#{owner.id}/password" }].each do |attempt|
      attempt.call

      assert_equal 403, status
    end
    get "/me"

    assert_says(/Your account/)
    refute_includes page, 'href="/people"'
  end
end
