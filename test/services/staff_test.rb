# frozen_string_literal: true

require_relative "../test_helper"

# Who works here: added, changed, locked out, let in again; and their passwords.
class StaffTest < DatabaseTest
  PHRASE = "seven grey gulls at noon"

  def add(role: "technician", email: "new@example.org")
    Services::Staff.add({ name: "New Hand", email: email, role: role }, by: owner, at: NOW)
  end

  def signed_in(person)
    DB[:person_sessions].insert(person_id: person.id, session_id: SecureRandom.hex)
    person
  end

  def sessions(person)
    DB[:person_sessions].where(person_id: person.id).count
  end

  def change_own(person, old, new, address: "192.0.2.#{rand(1..250)}")
    Services::OwnPassword.change(person.refresh, old: old, new: new, address: address, at: NOW)
  end

  def wrong(...)
    assert_raises(Services::Invalid) { change_own(...) }.errors
  end

  def test_a_first_password_is_told_once_and_changed
    person, given = add

    assert_match(/\A([2-9a-z]{4}-){3}[2-9a-z]{4}\z/, given)
    assert person.password_given
    assert_equal [:old], wrong(person, "another one", PHRASE).keys
    assert_equal({ new: ["is the one that you have"] }, wrong(person, given, given))
    assert_equal({ new: ["is little more than a name that others know"] }, wrong(person, given, "new hand example"))
    signed_in(person)

    assert_nil change_own(person, given, PHRASE)
    assert_equal [false, 0, true],
      [person.refresh.password_given, sessions(person), Services::Passwords.right?(person, PHRASE)]
  end

  def test_a_common_one
    person, given = add

    assert_equal({ new: ["is one that everybody tries"] }, wrong(person, given, "qwertyqwerty"))
  end

  def test_whoever_guesses_waits
    person, = add
    5.times { change_own(person, "guess", PHRASE, address: "192.0.2.7") rescue Services::Invalid } # rubocop:disable Style/RescueModifier

    assert_operator change_own(person, "guess", PHRASE, address: "192.0.2.7"), :>, 0
  end

  def test_locked_out_at_once_and_let_in_with_a_new_password
    person, = add
    signed_in(person)
    Services::Staff.close(person, by: owner, at: NOW)

    assert_equal [0, [], "New Hand"],
      [sessions(person), Models::Person.may_sign_in.where(id: person.id).all, person.refresh.name]
    given = Services::Staff.let_in(person, by: owner, at: NOW)

    assert Services::Passwords.right?(person.refresh, given)
    assert_equal 1, Models::Person.may_sign_in.where(id: person.id).count
  end

  def test_somebody_has_to_be_the_owner
    assert_raises(Services::Refused) { Services::Staff.close(owner, by: owner, at: NOW) }
    fields = owner.values.slice(:name, :email).merge(role: "counter")
    assert_raises(Services::Refused) { Services::Staff.change(owner, fields, by: owner, at: NOW) }
    second, = add(role: "owner")
    Services::Staff.change(owner, fields, by: second, at: NOW)

    assert_equal "counter", owner.refresh.role
    assert_raises(Services::Refused) { Services::Staff.close(second, by: second, at: NOW) }
  end

  def test_an_address_is_one_persons
    add
    error = assert_raises(Services::Invalid) { DB.transaction(savepoint: true) { add(email: "NEW@example.org") } }

    assert_equal [:email], error.errors.keys
  end

  def test_only_the_owner_says_who_works_here
    [-> { Services::Staff.add({ name: "X", email: "x@example.org", role: "owner" }, by: technician, at: NOW) },
     -> { Services::Staff.close(technician, by: technician, at: NOW) },
     -> { Services::Staff.give_password(owner, by: technician, at: NOW) }].each do |attempt|
      assert_raises(Services::Forbidden, &attempt)
    end
  end
end
